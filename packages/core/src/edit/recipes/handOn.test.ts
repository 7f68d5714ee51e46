import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument } from '../../check/checkDocument.js';
import { shownParts } from '../../document/card.js';
import { withContents } from '../../document/levels.js';
import { partsOf } from '../../document/card.js';
import { plainWords } from '../../parts/richText.js';
import { cardWith, heldBy } from '../../testing/held.js';
import { carryAssets } from '../commands/assets.js';
import { groupTiles } from '../commands/groups.js';
import { placePart } from '../commands/parts.js';
import { setPart } from '../commands/tiles.js';
import { emptyDocument } from '../emptyDocument.js';
import { change, type Command } from '../patch/change.js';
import { addFromRecipe, addVariant, applyRecipe, setVariant } from './commands.js';
import { makeRecipe } from './makeRecipe.js';
import { recipeDifferences } from './follow.js';
import { heldSlots } from './slots.js';
import { STARTERS, starterAssets } from './starters.js';
import { updateRecipe } from './update.js';
import type { Card, CollectionDocument, Recipe, Tile } from '../../document/types.js';

let next = 0;
const freshId = () => `t${next++}`;
const run = (document: CollectionDocument, ...commands: Command[]) => {
  const after = commands.reduce((each, command) => change(each, command).document, document);
  expect(checkDocument(JSON.parse(JSON.stringify(after))).problems).toEqual([]);
  return after;
};
const tilesIn = (document: CollectionDocument, id: string) =>
  withContents(document, id).map((each) => document.tiles[each] as Tile);
const said = (tiles: readonly Tile[], of: typeof partsOf = partsOf) =>
  tiles
    .flatMap(of)
    .map((part) => ('words' in part ? plainWords(part.words) : ''))
    .filter(Boolean);

describe('a tile that takes a recipe', () => {
  const start: CollectionDocument = {
    ...emptyDocument('Huts'),
    tiles: { a: cardWith('stat', 'a', { figure: '12', label: 'beds' }) },
    order: ['a'],
  };
  const starter = (id: string) => STARTERS.find((each) => each.id === id) as Recipe;
  const use = (id: string) => ({ recipe: starter(id), variant: null, assets: starterAssets, freshId });

  test('hands its words on to where they mean as much; where there are none there is no sample', () => {
    const lead = run(start, applyRecipe(['a'], use('lead')));
    expect(heldBy(lead.tiles.a)).toEqual({ eyebrow: '', heading: '12', text: 'beds' });
    // What is kept hidden is no value of its own.
    expect(recipeDifferences(lead.recipes, lead.tiles.a as Tile)).toEqual([]);
    const action = run(
      { ...start, tiles: { a: cardWith('action', 'a', { action: { words: 'Go', address: '#book' } }) } },
      applyRecipe(['a'], use('lead')),
    );
    expect(heldBy(action.tiles.a)).toMatchObject({
      heading: 'Go',
      action: { address: '#book', hidden: true },
    });
    expect(recipeDifferences(action.recipes, action.tiles.a as Tile)).toEqual([]);
    const back = run(lead, applyRecipe(['a'], use('figure')));
    expect(heldBy(back.tiles.a)).toEqual({ figure: '12', label: 'beds' });
  });

  /** A use of a starter in which every slot of words says something of its own. */
  const filled = (recipe: Recipe) => {
    const added = run(
      emptyDocument('Huts'),
      addFromRecipe({ ...use(recipe.id), position: 0, freshId: () => 'a-' + String(next++) }),
    );
    const [root = ''] = added.order;
    const commands = heldSlots(recipe).flatMap(({ tile, part, field, of }) =>
      of.holds === 'words' && field === 'words'
        ? tilesIn(added, root)
            .filter((each) => each.recipe?.tile === tile)
            .map((each) => setPart([each.id], part, { words: `own ${tile} ${part}` }))
        : [],
    );
    return { document: run(added, ...commands), root };
  };

  test('any starter for any other, and back, without a word lost, moved or left behind', () => {
    const any = fc.constantFrom(...STARTERS);
    fc.assert(
      fc.property(any, any, any, (first, second, third) => {
        const { document, root } = filled(first);
        const before = said(tilesIn(document, root));
        const there = run(document, applyRecipe([root], use(second.id)));
        const further = run(there, applyRecipe([root], use(third.id)));
        // All words are there, once each, and none of another.
        for (const each of [there, further])
          expect(said(tilesIn(each, root)).sort()).toEqual([...before].sort());
        const back = run(there, applyRecipe([root], use(first.id)));
        expect(said(tilesIn(back, root), shownParts)).toEqual(before);
        const later = run(further, applyRecipe([root], use(first.id)));
        expect(said(tilesIn(later, root), shownParts)).toEqual(before);
      }),
      { numRuns: 150 },
    );
  });

  test('is left as it is where the recipe can’t keep all that it says', () => {
    const cards = Array.from({ length: 40 }, (_, k) =>
      cardWith('text', `t${k}`, { heading: `Hut ${k}`, text: 'Open' }),
    );
    const many: CollectionDocument = {
      ...emptyDocument('Huts'),
      tiles: Object.fromEntries(cards.map((each) => [each.id, each])),
      order: cards.map(({ id }) => id),
    };
    const grouped = run(many, groupTiles(many.order, 'g', 0));
    expect(() => change(grouped, applyRecipe(['g'], use('note')))).toThrow(
      'The tile says more than the recipe can keep: a card has at most 60 parts.',
    );
  });

  test('and its variants of another form show the same words in other places', () => {
    const made = run(start, makeRecipe('a', 'count', 'Count'));
    const turned = run(
      made,
      (draft) => carryAssets(draft, starterAssets),
      placePart(['a'], 'label', { align: 'end' }),
      (draft) => void ((draft.tiles.a as unknown as Card).parts as unknown[]).reverse(),
      addVariant('a', 'turned', 'Turned'),
    );
    expect(turned.recipes?.count?.variants).toMatchObject([
      { id: 'turned', forms: { a: [{ part: 'label', align: 'end' }, { part: 'figure' }] } },
    ]);
    expect(recipeDifferences(turned.recipes, turned.tiles.a as Tile)).toEqual([]);
    const plain = run(turned, setVariant(['a'], null));
    expect(heldBy(plain.tiles.a)).toEqual({ figure: '12', label: 'beds' });
    const again = run(plain, setVariant(['a'], 'turned'));
    expect(again.tiles.a).toEqual(turned.tiles.a);
  });

  test('a part that a variant hides keeps all that it says', () => {
    const icons = cardWith('icons', 'a', {
      icons: { icons: [{ id: 'i', icon: null, picture: null, label: 'Stove', address: '' }], size: 40 },
    });
    const both: CollectionDocument = {
      ...emptyDocument('Huts'),
      tiles: { a: { ...icons, parts: [...icons.parts, ...cardWith('text', 'b', { heading: 'Hut' }).parts] } },
      order: ['a'],
    };
    const made = run(
      both,
      makeRecipe('a', 'signs', 'Signs'),
      placePart(['a'], 'icons', { hidden: true }),
      addVariant('a', 'words', 'Words'),
    );
    const shown = run(made, setVariant(['a'], null));
    expect(heldBy(shown.tiles.a).icons).toMatchObject({ size: 40 });
    const again = run(shown, setVariant(['a'], 'words'));
    expect(heldBy(again.tiles.a).icons).toMatchObject({ size: 40, hidden: true });
  });

  test('a variant hides parts, shows one as another kind, and a change to it reaches its uses alone', () => {
    const made = run(start, makeRecipe('a', 'count', 'Count'));
    const recipe = made.recipes?.count as Recipe;
    const told: Recipe = {
      ...recipe,
      variants: [
        { id: 'told', name: 'Told', looks: {}, forms: { a: [{ part: 'figure', kind: 'heading' }] } },
      ],
    };
    const withTold: CollectionDocument = { ...made, recipes: { count: told } };
    const shown = run(
      withTold,
      addFromRecipe({ recipe: told, variant: 'told', position: 1, freshId: () => 'b' }),
      setVariant(['a'], 'told'),
    );
    expect(partsOf(shown.tiles.a as Tile)).toEqual([
      { id: 'figure', kind: 'heading', words: '12' },
      { id: 'label', kind: 'label', words: 'beds', hidden: true },
    ]);
    const placed = run(shown, placePart(['a'], 'label', { hidden: undefined }), updateRecipe('a', freshId));
    expect(placed.recipes?.count?.variants[0]?.forms).toEqual({
      a: [{ part: 'figure', kind: 'heading' }, { part: 'label' }],
    });
    expect(said([placed.tiles.b as Tile], shownParts)).toEqual(['12', 'beds']);
    expect(heldBy(run(placed, setVariant(['a', 'b'], null)).tiles.a)).toEqual({
      figure: '12',
      label: 'beds',
    });
  });
});
