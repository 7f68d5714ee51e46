import { describe, expect, test } from '@jest/globals';
import { change, type Command } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { applyRecipe, setVariant } from './commands.js';
import { recipeDifferences } from './follow.js';
import { makeRecipeOf } from './makeRecipe.js';
import { cardWith } from '../../testing/held.js';
import { mainWords } from '../../parts/said.js';
import { sample } from '../../testing/sample.js';
import { setLook } from '../commands/tiles.js';
import { shownParts } from '../../document/card.js';
import type { CollectionDocument, Recipe, Tile } from '../../document/types.js';

const run = (document: CollectionDocument, ...commands: Command[]): CollectionDocument => {
  const made = commands.reduce((one, command) => change(one, command).document, document);
  const checked = checkDocument(made);
  expect(checked.problems).toEqual([]);
  return checked.document as CollectionDocument;
};

const cards = [
  cardWith('text', 't1', { heading: 'Dry wood', text: 'Under the eaves.' }),
  cardWith('quote', 't2', { quote: 'Soup at six.', source: 'The warden' }),
  cardWith('stat', 't3', { figure: '184', label: 'beds' }),
  cardWith('text', 't4', { heading: 'Ridge path', text: 'Four hours.' }),
];
const base = sample(cards.map((): [number, number] => [1, 1]));
const tiles = Object.fromEntries(
  cards.map((card) => [card.id, { ...card, place: base.tiles[card.id]?.place } as Tile]),
);
const four: CollectionDocument = { ...base, tiles };

let k = 0;
const recipeOf = (ids: readonly string[]) => makeRecipeOf(ids, 'board', 'Board', () => `v${k++}`);

/** What a tile shows: its parts with their words. */
const shows = ({ tiles: all }: CollectionDocument, id: string) =>
  shownParts(all[id] as Tile).map((part) => [part.kind, 'words' in part ? part.words : null]);
const tile = (document: CollectionDocument, id: string) => document.tiles[id] as Tile;

describe('one recipe of several cards', () => {
  const ids = ['t1', 't2', 't3', 't4'];
  const made = run(four, recipeOf(ids));
  const recipe = made.recipes?.board;

  test('leaves every card as it was', () => {
    for (const id of ids) expect([id, shows(made, id)]).toEqual([id, shows(four, id)]);
    for (const id of ids) expect(made.tiles[id]?.look).toEqual(four.tiles[id]?.look);
  });

  test('has a variant for each that is made of other parts, called by what that is', () => {
    expect(recipe?.variants.map(({ name }) => name)).toEqual(['Quote', 'Stat']);
    expect(ids.map((id) => tile(made, id).recipe?.variant ?? null)).toEqual([
      null,
      recipe?.variants[0]?.id,
      recipe?.variants[1]?.id,
      null,
    ]);
  });

  test('lets a card show its own words in every variant, and come back', () => {
    for (const variant of [null, ...(recipe?.variants ?? []).map(({ id }) => id)]) {
      const there = run(made, setVariant(ids, variant));
      expect(ids.map((id) => mainWords(tile(there, id)))).toEqual([
        'Dry wood',
        'Soup at six.',
        '184',
        'Ridge path',
      ]);
      const kinds = new Set(ids.map((id) => shows(there, id)[0]?.[0]));
      expect(kinds.size).toBe(1);
    }
    const [quote] = recipe?.variants ?? [];
    const back = run(made, setVariant(['t1'], quote?.id ?? null), setVariant(['t1'], null));
    expect(shows(back, 't1')).toEqual(shows(four, 't1'));
  });

  test('leaves no words of one card in another', () => {
    const fresh = run(
      made,
      applyRecipe(['t4'], {
        recipe: recipe as Recipe,
        variant: recipe?.variants[0]?.id ?? null,
        freshId: ({ id }) => id,
      }),
    );
    const said = JSON.stringify(tile(fresh, 't4'));
    for (const word of ['Soup', 'warden', '184', 'beds', 'Dry']) expect(said).not.toContain(word);
  });

  test('makes a variant of another look, and one of those that look alike', () => {
    const dark = run(four, setLook(['t2', 't4'], { fill: '#112233' }), recipeOf(['t1', 't4', 't2']));
    const variants = dark.recipes?.board?.variants ?? [];
    expect(variants.map(({ looks }) => looks.t1)).toEqual([
      { fill: '#112233' },
      expect.objectContaining({ fill: '#112233' }),
    ]);
    const alike = run(four, setLook(['t1', 't4'], { fill: '#112233' }), recipeOf(['t1', 't4']));
    expect(alike.recipes?.board?.variants).toEqual([]);
    for (const id of ['t1', 't4']) expect(recipeDifferences(alike.recipes, tile(alike, id))).toEqual([]);
  });
});
