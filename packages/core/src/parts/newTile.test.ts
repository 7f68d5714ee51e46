import { expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { addDressed, addTile } from '../edit/commands/tiles.js';
import { emptyDocument } from '../edit/emptyDocument.js';
import { change } from '../edit/patch/change.js';
import { contrastIn } from '../look/textColour.js';
import { heldBy } from '../testing/held.js';
import { compositions } from './compositions/index.js';
import { kindTitle } from './said.js';
import { titleOf, type TileStart } from './newTile.js';

const starts: readonly TileStart[] = [...compositions().map(({ name }) => name), 'group'];

test.each(starts)('a tile that begins as %s is sound, is called so, and its words are legible', (what) => {
  const { document } = change(emptyDocument('Fresh'), addDressed(what, 'one'));
  expect(checkDocument(document).problems).toEqual([]);
  const tile = document.tiles.one;
  if (!tile) throw new Error('It was added.');
  expect(kindTitle(tile)).toBe(titleOf(what));
  expect(contrastIn(document, tile)).toBeGreaterThanOrEqual(4.5);
});

test('a quote begins with its marks and a source, a figure large, an action apart from cards', () => {
  const of = (what: TileStart, add = addDressed) =>
    change(emptyDocument('Fresh'), add(what, 'one')).document.tiles.one;
  expect(heldBy(of('quote'))).toEqual({ quote: '“What somebody said.”', source: 'Who said it' });
  expect(of('stat')?.look.headingSize).toBe(48);
  expect(of('action')?.look.fill).not.toBe(of('action', addTile)?.look.fill);
});
