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
import { addTile, removeTiles, setCollectionLook, setLook, setPart } from '../../edit/commands/tiles.js';
import { setLayer, setPin } from '../../edit/commands/place.js';
import { checkFit } from '../fit/checkFit.js';
import { detailOf, type Detail, type Details } from '../../look/detail.js';
import { picturesBehindWords } from './picturesBehindWords.js';
import { wordPlaces } from '../../parts/wordPlaces.js';
import type { LaidOutTile } from '../../arrangements/kind.js';
import type { CollectionDocument, Tile, TileLook } from '../../document/types.js';

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

  describe('on a picture', () => {
    const picture = {
      id: 'night',
      name: 'Night',
      file: 'night.png',
      hash: 'a'.repeat(64),
      mediaType: 'image/png' as const,
      inlineSize: 200,
      blockSize: 100,
      alternativeText: '',
      colours: ['#202020', '#000000', '#ffffff'],
      // Grey all over.
      raster: '1x1:ICAg',
    };
    const fill = {
      kind: 'picture',
      picture: 'night',
      focalPoint: { x: 0.5, y: 0.5 },
      tint: { colour: '#000000', opacity: 0 },
    } as const;
    const document = made(
      (draft) => void (draft.pictures.night = picture),
      ...word('t', { fill, spread: 'start', align: 'start' }),
      addTile('picture', 'alone'),
      setPart(['alone'], 'picture', { picture: 'night' }),
    );
    /** Grey, with a white star of two px by two: a px of the page lies wholly in it. */
    const withStar = (x: number, y: number): Details => {
      const bytes = new Uint8Array(200 * 100 * 4).fill(32);
      for (let at = 3; at < bytes.length; at += 4) bytes[at] = 255;
      for (const row of [y, y + 1]) bytes.fill(255, (row * 200 + x) * 4, (row * 200 + x + 2) * 4);
      return new Map([[picture.hash, detailOf({ columns: 200, rows: 100, bytes }) as Detail]]);
    };
    const least = (details?: Details) => {
      const layout = layoutCollection(document, WIDTH, { measurer: LETTERS });
      const options = { measurer: LETTERS, details };
      return contrastsAt(document, layout, WIDTH, bandAt(document, WIDTH), options).get('t') ?? 0;
    };

    test('is told by its px under the words, where they are known', () => {
      const place = layoutCollection(document, WIDTH, { measurer: LETTERS }).tiles.find(
        ({ id }) => id === 't',
      );
      const [line] = wordPlaces(document, document.tiles.t as Tile, place as LaidOutTile, WIDTH, LETTERS);
      const { inlineSize = 0, blockSize = 0 } = place ?? {};
      const scale = Math.max(inlineSize / 200, blockSize / 100);
      const at = (px: number, size: number, drawn: number) => Math.floor((px + (drawn - size) / 2) / scale);
      const { x = 0, y = 0 } = line ?? {};
      const under = withStar(at(x + 5, inlineSize, 200 * scale), at(y + 5, blockSize, 100 * scale));
      expect(least()).toBeGreaterThan(15);
      expect(least(withStar(198, 98))).toBeCloseTo(least(), 1);
      expect(least(under)).toBeLessThan(1.1);
      expect(
        checkFit(document, { measurer: LETTERS, from: WIDTH, to: WIDTH }).findings.map(({ kind }) => kind),
      ).not.toContain('faint');
      expect(
        checkFit(document, { measurer: LETTERS, from: WIDTH, to: WIDTH, details: under }).findings.map(
          ({ kind }) => kind,
        ),
      ).toContain('faint');
    });

    test('asks for the pictures that words may stand on, and for no others', () => {
      expect(picturesBehindWords(document)).toEqual([picture]);
      const alone = change(document, removeTiles(['t'])).document;
      expect(picturesBehindWords(alone)).toEqual([]);
      const over = change(alone, (draft) => {
        addTile('text', 'over')(draft);
        hold(['over'], { heading: 'Hut' })(draft);
        setLook(['over'], { fill: 'none' })(draft);
        setPin(['over', 'alone'], 0, { column: 1, row: 1 })(draft);
        setLayer(['over'], 1, 0, 'band')(draft);
      }).document;
      expect(picturesBehindWords(over)).toEqual([picture]);
    });
  });

  test('is near that of rounded places, which are kept', () => {
    const document = made(...word('t', { fill: ACROSS, align: 'center' }));
    const [exact = 0, rounded = 0] = [said(document).get('t'), said(document, 32).get('t')];
    expect(Math.abs(exact - rounded)).toBeLessThan(0.6);
    expect(said(document, 32).get('t')).toBe(rounded);
  });
});
