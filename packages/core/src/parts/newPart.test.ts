import { beforeAll, describe, expect, test } from '@jest/globals';
import { checkDocument } from '../check/checkDocument.js';
import { checkFit } from '../analysis/fit/checkFit.js';
import { needOf } from '../analysis/fit/needs.js';
import { setArrangement } from '../edit/commands/arrangement.js';
import { setPart } from '../edit/commands/tiles.js';
import { change } from '../edit/patch/change.js';
import { applyPatch } from '../edit/patch/applyPatch.js';
import { addFromRecipe, applyRecipe } from '../edit/recipes/commands.js';
import { makeRecipe } from '../edit/recipes/makeRecipe.js';
import { layoutCollection } from '../layout/layout.js';
import { cardWith, heldBy } from '../testing/held.js';
import { LETTERS } from '../testing/layoutHtml.js';
import { expectReadBack } from '../testing/readBack.js';
import { rating } from '../testing/rating/index.js';
import { sample } from '../testing/sample.js';
import { compositionOf } from './compositions/index.js';
import { partKindOf, registerPart } from './index.js';
import { mainWords } from './said.js';
import type { Card, CollectionDocument, Part } from '../document/types.js';

// All that makes a part known.
beforeAll(() => registerPart(rating));

const rated = (stars: number, words: string): Part =>
  ({ id: 'rating', kind: rating.name, stars, words }) as unknown as Part;

/** A heading, and a rating under it. */
const card = (stars = 4, words = 'by 31 guests'): Card => {
  const tile = cardWith('text', 't1', { heading: 'Hut four' });
  return { ...tile, parts: [...tile.parts, rated(stars, words)] };
};
const withCard = (tile: Card): CollectionDocument => {
  const base = sample([[2, 1]]);
  const document = {
    ...base,
    bands: [],
    tiles: { ...base.tiles, t1: { ...tile, place: base.tiles.t1?.place } },
  };
  return change(document as CollectionDocument, setArrangement({ autoRows: 'auto' }, 0, 'all')).document;
};
const start = () => withCard(card());

describe('a part that is a folder and a line', () => {
  test('is taken by the checker, with its fields; what it does not know is refused', () => {
    expect(checkDocument(start()).problems).toEqual([]);
    expect(checkDocument(withCard(card(6))).problems).toMatchObject([
      {
        path: '/tiles/t1/parts/3/stars',
        message: 'A number of stars is a whole number from 0 to 5; here it is 6.',
      },
    ]);
    const other = { ...card(), parts: [{ id: 'a', kind: 'medal' } as unknown as Part] };
    expect(checkDocument(withCard(other)).problems[0]?.message).toContain('"rating"');
  });

  test('makes a card of its own composition, and counts where tiles are weighed and named', () => {
    expect(compositionOf(card()).name).toBe('card');
    expect(mainWords(card())).toBe('by 31 guests');
  });

  test('makes its tile as wide and as high as it is', () => {
    const document = start();
    const need = needOf(document, document.tiles.t1 as Card, LETTERS, 1280);
    // Five stars and a blank more than its 12 letters of 8 px, and 36 px of padding.
    expect(need).toEqual({ inlineSize: (4 + 1 + 12) * 8 + 36, by: 'figure' });
    const found = checkFit(document, { measurer: LETTERS, from: 320, to: 900 }).findings;
    expect(found.map(({ kind, tiles }) => `${kind} ${tiles.join()}`)).toContain('squashed t1');
    const without = change(document, (draft) => {
      const tile = draft.tiles.t1;
      if (tile?.kind === 'card') tile.parts = tile.parts.filter(({ id }) => id !== 'rating');
    }).document;
    const height = (of: CollectionDocument) =>
      layoutCollection(of, 1200, { measurer: LETTERS }).tiles[0]?.blockSize ?? 0;
    expect(height(document)).toBeGreaterThan(height(without) + 20);
  });

  test.each([1200, 640])('goes into a page that is read back as it lies, at %i px', (width) => {
    const files = expectReadBack(start(), width);
    expect(files['index.html']).toContain('<p class="rating" aria-label="4 of 5">★★★★ by 31 guests</p>');
    expect(files['style.css']).toContain('.rating {');
  });

  test('is set, and undone to where it began', () => {
    const set = change(start(), setPart(['t1'], 'rating', { words: 'by 40 guests', level: 3 }));
    // A field that it does not have is left out.
    expect(heldBy(set.document.tiles.t1).rating).toEqual({ stars: 4, words: 'by 40 guests' });
    expect(applyPatch(set.document, set.inverse)).toEqual(start());
  });

  test('is a slot of a recipe, and its words go from one card into another', () => {
    const made = change(start(), makeRecipe('t1', 'rated', 'Rated')).document;
    const { rated: recipe } = made.recipes ?? {};
    if (!recipe) throw new Error('There is no recipe.');
    expect(recipe.slots.map(({ name }) => name)).toEqual(['Eyebrow', 'Heading', 'Text', 'Rating']);
    const use = { recipe, variant: null, freshId: () => 'new' };
    const twice = change(made, addFromRecipe({ ...use, position: 1 })).document;
    const named = change(twice, setPart(['new'], 'rating', { words: 'by nobody yet' })).document;
    const after = change(named, applyRecipe(['new'], use)).document;
    expect(heldBy(after.tiles.new).rating).toEqual({ stars: 4, words: 'by nobody yet' });
    expect(checkDocument(after).problems).toEqual([]);
  });

  test('is not known before its line', () => {
    expect(() => partKindOf({ kind: 'medal' as Part['kind'] })).toThrow('There is no part “medal”.');
  });
});
