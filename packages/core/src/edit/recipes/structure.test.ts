import { describe, expect, test } from '@jest/globals';
import { checkDocument } from '../../check/checkDocument.js';
import { partsOf } from '../../document/card.js';
import { emptyDocument } from '../emptyDocument.js';
import { change, type Command } from '../patch/change.js';
import { setPart, setTile } from '../commands/tiles.js';
import { cardWith, heldBy, hold } from '../../testing/held.js';
import { applyRecipe } from './commands.js';
import { makeRecipe } from './makeRecipe.js';
import { recipeDifferences, resetToRecipe } from './follow.js';
import { updateRecipe } from './update.js';
import type { CollectionDocument, Part, PartName, Tile } from '../../document/types.js';

const run = (document: CollectionDocument, ...commands: Command[]) => {
  const after = commands.reduce((each, command) => change(each, command).document, document);
  expect(checkDocument(JSON.parse(JSON.stringify(after))).problems).toEqual([]);
  return after;
};
const freshId = () => 'fresh';

/** Three cards of one recipe; the second and third say words of their own. */
function three(): CollectionDocument {
  const start: CollectionDocument = {
    ...emptyDocument('Huts'),
    tiles: {
      a: cardWith('text', 'a', { heading: 'A', text: 'First' }),
      b: cardWith('text', 'b', { heading: 'B', text: 'Second' }),
      c: cardWith('text', 'c', { heading: 'C', text: 'Third' }),
    },
    order: ['a', 'b', 'c'],
  };
  const made = run(start, makeRecipe('a', 'note', 'Note'));
  const recipe = made.recipes?.note;
  if (!recipe) throw new Error('There is no recipe.');
  return run(made, applyRecipe(['b', 'c'], { recipe, variant: null, freshId }));
}

const setParts =
  (id: string, parts: (before: readonly Part[]) => readonly Part[]): Command =>
  (draft) => {
    const tile = draft.tiles[id];
    if (tile?.kind === 'card') tile.parts = parts(tile.parts) as typeof tile.parts;
  };
const label = (words: string): Part => ({ id: 'label', kind: 'label', words });
const kinds = (document: CollectionDocument, id: string): PartName[] =>
  partsOf(document.tiles[id] as Tile).map(({ kind }) => kind);

describe('a recipe whose card has other parts', () => {
  test('gives them to all that use it, in its order; their own words stay', () => {
    const added = run(
      three(),
      setParts('a', (parts) => [label('new here'), ...parts.toReversed()]),
      updateRecipe('a', freshId),
    );
    for (const id of ['a', 'b', 'c'])
      expect(kinds(added, id)).toEqual(['label', 'text', 'heading', 'eyebrow']);
    expect(heldBy(added.tiles.b)).toEqual({ label: 'new here', text: 'Second', heading: 'B', eyebrow: '' });
    expect(added.recipes?.note?.slots.map(({ name }) => name)).toEqual([
      'Label',
      'Text',
      'Heading',
      'Eyebrow',
    ]);
    expect(recipeDifferences(added.recipes, added.tiles.c as Tile)).toEqual([]);
  });

  test('takes one away from all, and its slot with it', () => {
    const less = run(
      three(),
      setParts('a', (parts) => parts.filter(({ kind }) => kind !== 'eyebrow')),
      updateRecipe('a', freshId),
    );
    expect(kinds(less, 'c')).toEqual(['heading', 'text']);
    expect(less.recipes?.note?.slots.map(({ name }) => name)).toEqual(['Heading', 'Text']);
  });

  test('leaves alone a card that had been given other parts by hand, until it is put back', () => {
    const own = run(
      three(),
      setParts('b', (parts) => parts.filter(({ kind }) => kind === 'heading')),
    );
    expect(recipeDifferences(own.recipes, own.tiles.b as Tile)).toMatchObject([
      { of: 'content', field: 'parts' },
    ]);
    const after = run(
      own,
      setParts('a', (parts) => [...parts, label('new here')]),
      updateRecipe('a', freshId),
    );
    expect(kinds(after, 'b')).toEqual(['heading']);
    expect(kinds(after, 'c')).toEqual(['eyebrow', 'heading', 'text', 'label']);
    const back = run(after, resetToRecipe(['b'], ['parts']));
    expect(kinds(back, 'b')).toEqual(['eyebrow', 'heading', 'text', 'label']);
    expect(heldBy(back.tiles.b)).toMatchObject({ heading: 'B', label: 'new here' });
    expect(recipeDifferences(back.recipes, back.tiles.b as Tile)).toEqual([]);
  });
});

describe('what no slot holds', () => {
  test('follows the recipe in a part as in the tile, and is put back one by one', () => {
    const own = run(
      three(),
      setPart(['b'], 'heading', { level: 4 }),
      setTile(['c'], { link: '#own' }),
      hold(['c'], { heading: 'Own words' }),
    );
    expect(recipeDifferences(own.recipes, own.tiles.b as Tile)).toEqual([
      { of: 'content', field: 'parts/heading/level', own: 4, recipe: undefined },
    ]);
    expect(recipeDifferences(own.recipes, own.tiles.c as Tile)).toEqual([
      { of: 'content', field: 'link', own: '#own', recipe: undefined },
    ]);
    const after = run(
      own,
      setPart(['a'], 'heading', { level: 3 }),
      setTile(['a'], { link: '#all' }),
      updateRecipe('a', freshId),
    );
    expect(heldBy(after.tiles.b).heading).toEqual({ words: 'B', level: 4 });
    expect(heldBy(after.tiles.c).heading).toEqual({ words: 'Own words', level: 3 });
    expect([after.tiles.b?.link, after.tiles.c?.link]).toEqual(['#all', '#own']);
    const back = run(after, resetToRecipe(['b', 'c']));
    expect(heldBy(back.tiles.b).heading).toEqual({ words: 'B', level: 3 });
    expect([back.tiles.c?.link, heldBy(back.tiles.c).heading]).toEqual([
      '#all',
      { words: 'Own words', level: 3 },
    ]);
  });

  test('may be a field that nobody knows, whatever its name', () => {
    const setField =
      (id: string, value: string): Command =>
      (draft) =>
        void Object.assign(draft.tiles[id] ?? {}, { 'parts/heading/note': value });
    const made = change(change(three(), setField('a', 'kept')).document, updateRecipe('a', freshId)).document;
    expect(made.tiles.b).toHaveProperty(['parts/heading/note'], 'kept');
    const own = change(made, setField('b', 'mine')).document;
    const back = change(own, resetToRecipe(['b'])).document;
    expect(back.tiles.b).toEqual(made.tiles.b);
  });
});
