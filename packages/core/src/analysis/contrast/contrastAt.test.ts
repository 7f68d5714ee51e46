import { describe, expect, test } from '@jest/globals';
import { bandAt } from '../../document/bands.js';
import { change, type Command } from '../../edit/patch/change.js';
import { contrast } from '../../look/contrast.js';
import { contrastsAt } from './contrastAt.js';
import { emptyDocument } from '../../edit/emptyDocument.js';
import { groupTiles } from '../../edit/commands/groups.js';
import { hold } from '../../testing/held.js';
import { layoutCollection } from '../../layout/layout.js';
import { LETTERS } from '../../testing/layoutHtml.js';
import { addTile, setCollectionLook, setLook, setPart } from '../../edit/commands/tiles.js';
import { setLayer, setPin } from '../../edit/commands/place.js';
import type { CollectionDocument, TileLook } from '../../document/types.js';

const WIDTH = 1200;
/** From white on the left to black on the right. */
const ACROSS: TileLook['fill'] = {
  kind: 'linear',
  angle: 90,
  stops: [
    { colour: '#ffffff', at: 0 },
    { colour: '#000000', at: 1 },
  ],
};

const made = (...commands: Command[]): CollectionDocument =>
  commands.reduce((document, command) => change(document, command).document, emptyDocument('Words'));

const said = (document: CollectionDocument, raster?: number) => {
  const layout = layoutCollection(document, WIDTH, { measurer: LETTERS });
  const options = { measurer: LETTERS, ...(raster !== undefined && { raster }) };
  return contrastsAt(document, layout, WIDTH, bandAt(document, WIDTH), options);
};
const word = (id: string, look: Partial<TileLook>): Command[] => [
  addTile('text', id),
  hold([id], { heading: 'Hut' }),
  setLook([id], { textColour: '#ffffff', ...look }),
];

describe('the contrast of words where they stand', () => {
  test('is told by the side of a gradient that they are on', () => {
    const at = (align: NonNullable<TileLook['align']>) =>
      said(made(...word('t', { fill: ACROSS, align }))).get('t') ?? 0;
    expect(at('start')).toBeLessThan(1.4);
    expect(at('end')).toBeGreaterThan(11);
    expect(at('center')).toBeGreaterThan(at('start'));
    expect(at('center')).toBeLessThan(at('end'));
  });

  test('of words in several lines is that of the faintest', () => {
    const lines = (words: string) =>
      said(
        made(
          ...word('t', { fill: { ...ACROSS, angle: 180 }, spread: 'end' }),
          setPart(['t'], 'heading', { words }),
        ),
      ).get('t') ?? 0;
    expect(lines('Hut '.repeat(40))).toBeLessThan(lines('Hut'));
  });

  test('sees the tile that a clear one lies over, at its layer', () => {
    const over = (layer: number) =>
      said(
        made(
          addTile('text', 'under'),
          setLook(['under'], { fill: '#000000' }),
          ...word('over', { fill: 'none' }),
          setCollectionLook({ background: '#ffffff' }),
          setPin(['under', 'over'], 0, { column: 1, row: 1 }),
          setLayer(['over'], layer, 0, 'band'),
        ),
      ).get('over');
    expect(over(1)).toBeCloseTo(21, 0);
    expect(over(-1)).toBeCloseTo(1, 1);
  });

  test('sees the group around a tile', () => {
    const document = made(
      ...word('t', { fill: 'none' }),
      groupTiles(['t'], 'g', 0),
      setLook(['g'], { fill: '#112233' }),
    );
    expect(said(document).get('t')).toBeCloseTo(contrast('#ffffff', '#112233'), 5);
    expect(said(document).has('g')).toBe(false);
  });

  test('is near that of rounded places, which are kept', () => {
    const document = made(...word('t', { fill: ACROSS, align: 'center' }));
    const [exact = 0, rounded = 0] = [said(document).get('t'), said(document, 32).get('t')];
    expect(Math.abs(exact - rounded)).toBeLessThan(0.6);
    expect(said(document, 32).get('t')).toBe(rounded);
  });
});
