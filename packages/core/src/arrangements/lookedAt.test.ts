import { describe, expect, test } from '@jest/globals';
import { addTile, setCollectionLook, setLook } from '../edit/commands/tiles.js';
import { change, type Command } from '../edit/patch/change.js';
import { contrast } from '../look/contrast.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { groupTiles } from '../edit/commands/groups.js';
import { hold } from '../testing/held.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { lookedAt } from './lookedAt.js';
import { setLayer, setPin, setSpan } from '../edit/commands/place.js';
import { setNarrowerBands } from '../edit/commands/bands.js';
import { textColourOf } from '../look/textColour.js';
import { writePage } from '../export/page/writePage.js';
import type { CollectionDocument, Tile } from '../document/types.js';

const DARK = '#10151a';
const made = (...commands: Command[]): CollectionDocument =>
  commands.reduce((document, command) => change(document, command).document, emptyDocument('Words'));

const held = (id: string, fill: string, column: number, columnSpan: number): Command[] => [
  addTile('text', id),
  hold([id], { heading: 'Hut' }),
  setLook([id], { fill }),
  setSpan({ tiles: [id], band: 0, setFor: 'all', columnSpan, rowSpan: 1 }),
  setPin([id], 0, { column, row: 1 }),
];
const colourIn = (document: CollectionDocument, id: string, band = 0) =>
  textColourOf(lookedAt(document, band), document.tiles[id] as Tile);

const over = (column: number, columnSpan: number) =>
  made(
    setNarrowerBands(null),
    ...held('below', DARK, 1, 3),
    ...held('words', 'none', column, columnSpan),
    setLayer(['words'], 1, 0, 'all'),
  );

describe('words over another tile', () => {
  test('are light where it is dark, though the ground is light', () => {
    expect(contrast(colourIn(over(2, 1), 'words'), DARK)).toBeGreaterThan(10);
  });

  test('are told by the ground alone beside it, and by a fill of their own', () => {
    expect(contrast(colourIn(over(4, 1), 'words'), '#ffffff')).toBeGreaterThan(10);
    const filled = change(over(2, 1), setLook(['words'], { fill: '#ffffff' })).document;
    expect(lookedAt(filled, 0)).toBe(filled);
  });

  test('that reach beyond it are told by both, whichever is fainter', () => {
    const colour = colourIn(over(3, 2), 'words');
    const ground = over(3, 2).look.background;
    const least = Math.min(contrast(colour, DARK), contrast(colour, ground));
    for (const other of ['#ffffff', '#000000'])
      expect(least).toBeGreaterThanOrEqual(Math.min(contrast(other, DARK), contrast(other, ground)) - 0.5);
  });

  test('of a group lie over what the group lies over', () => {
    const grouped = made(
      setNarrowerBands(null),
      ...held('below', DARK, 1, 3),
      ...held('words', 'none', 2, 1),
      groupTiles(['words'], 'group', 0),
      setPin(['group'], 0, { column: 2, row: 1 }),
      setLayer(['group'], 1, 0, 'all'),
      setLook(['group', 'words'], { fill: 'none' }),
    );
    expect(contrast(colourIn(grouped, 'words'), DARK)).toBeGreaterThan(10);
  });

  test('have the colour that each band asks for, on the page as on the stage', () => {
    const document = made(
      ...held('below', DARK, 1, 3),
      ...held('words', 'none', 2, 1),
      setLayer(['words'], 1, 0, 'all'),
      setCollectionLook({ background: '#ffffff' }),
      setNarrowerBands([
        { id: 'narrow', below: 600, arrangement: {}, tiles: { words: { pin: { column: 1, row: 2 } } } },
      ]),
    );
    const [wide, narrow] = [colourIn(document, 'words', 0), colourIn(document, 'words', 1)];
    expect([contrast(wide, DARK) > 10, contrast(narrow, '#ffffff') > 10]).toEqual([true, true]);
    const css = writePage(document, LETTERS).files['style.css'] ?? '';
    const [before = '', after = ''] = css.split('(width < 600px)');
    expect(before).toContain(`color: ${wide}`);
    expect(after).toContain(`color: ${narrow}`);
  });
});
