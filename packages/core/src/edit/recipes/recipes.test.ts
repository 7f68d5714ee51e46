import { describe, expect, test } from '@jest/globals';
import {
  addFromRecipe,
  addVariant,
  applyRecipe,
  releaseTiles,
  removeRecipe,
  setVariant,
} from './commands.js';
import { makeRecipe } from './makeRecipe.js';
import { updateRecipe } from './update.js';
import { recipeDifferences, resetToRecipe } from './follow.js';
import { STARTERS, starterAssets } from './starters.js';
import { change } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { emptyDocument } from '../emptyDocument.js';
import { groupTiles, ungroup } from '../commands/groups.js';
import { onLevel } from '../commands/level.js';
import { setArrangement } from '../commands/arrangement.js';
import { setBandLook } from '../commands/bandLooks.js';
import { setSpan } from '../commands/place.js';
import { newTile } from '../../parts/newTile.js';
import { removeNamedLook, setNamedLook } from '../commands/namedLooks.js';
import { setLook } from '../commands/tiles.js';
import { pasteTiles, tilesFromText, tilesToText } from '../commands/copies.js';
import { kindTitle, tileName } from '../../parts/said.js';
import { cardWith, heldBy, hold } from '../../testing/held.js';
import type { Command } from '../patch/change.js';
import type { CollectionDocument, Tile } from '../../document/types.js';

let made = 0;
const freshId = () => `made-${made++}`;
const run = (document: CollectionDocument, ...commands: Command[]) => {
  const after = commands.reduce((each, command) => change(each, command).document, document);
  expect(checkDocument(JSON.parse(JSON.stringify(after))).problems).toEqual([]);
  return after;
};
const text = (id: string, heading: string): Tile => cardWith('text', id, { heading });
const three: CollectionDocument = {
  ...emptyDocument('Huts'),
  tiles: { a: text('a', 'A'), b: text('b', 'B'), c: newTile('stat', 'c') },
  order: ['a', 'b', 'c'],
};
const use = (document: CollectionDocument, variant: string | null = null) => {
  const recipe = document.recipes?.note;
  if (!recipe) throw new Error('There is no recipe.');
  return { recipe, variant, freshId };
};

describe('a recipe', () => {
  const dressed = run(
    three,
    setLook(['a'], { fill: '#dfe8e2', headingSize: 30 }),
    makeRecipe('a', 'note', 'Note'),
  );
  const used = run(dressed, applyRecipe(['b', 'c'], use(dressed)));

  test('is made of a tile and used by others, which keep what they say', () => {
    expect(used.recipes?.note?.slots.map(({ name }) => name)).toEqual(['Eyebrow', 'Heading', 'Text']);
    expect(used.tiles.b).toMatchObject({ look: { fill: '#dfe8e2', headingSize: 30 } });
    expect(heldBy(used.tiles.b)).toMatchObject({ heading: 'B' });
    // A stat hands its words on to where they mean as much.
    expect(heldBy(used.tiles.c)).toEqual({ eyebrow: '', heading: '0', text: 'of something' });
    expect(used.tiles.c && tileName(used.tiles.c, used)).toBe('0');
  });

  test('is changed once, and all follow but for values of their own', () => {
    const own = run(used, setLook(['b'], { fill: '#ffffff' }));
    expect(recipeDifferences(own.recipes, own.tiles.b as Tile)).toEqual([
      { of: 'look', field: 'fill', own: '#ffffff', recipe: '#dfe8e2' },
    ]);
    const after = run(
      own,
      setLook(['a'], { fill: '#24413f', headingSize: undefined, radius: 4 }),
      updateRecipe('a', freshId),
    );
    expect(after.tiles.c?.look).toEqual({ fill: '#24413f', textColour: 'auto', spread: 'end', radius: 4 });
    expect(after.tiles.b?.look).toEqual({ fill: '#ffffff', textColour: 'auto', spread: 'end', radius: 4 });
    expect(heldBy(after.tiles.b)).toMatchObject({ heading: 'B' });
    const reset = run(after, resetToRecipe(['b'], ['fill']));
    expect(reset.tiles.b?.look.fill).toBe('#24413f');
    expect(recipeDifferences(reset.recipes, reset.tiles.b as Tile)).toEqual([]);
  });

  test('has variants that are swapped in place, and changed by themselves', () => {
    const withVariant = run(used, setLook(['b'], { fill: '#17302d' }), addVariant('b', 'deep', 'Deep'));
    expect(recipeDifferences(withVariant.recipes, withVariant.tiles.b as Tile)).toEqual([]);
    const swapped = run(withVariant, setLook(['c'], { radius: 2 }), setVariant(['c'], 'deep'));
    expect(swapped.tiles.c?.look).toMatchObject({ fill: '#17302d', radius: 2 });
    const after = run(swapped, setLook(['b'], { fill: '#000000' }), updateRecipe('b', freshId));
    expect(after.tiles.c?.look.fill).toBe('#000000');
    expect(after.tiles.a?.look.fill).toBe('#dfe8e2');
    expect(run(after, setVariant(['c'], null)).tiles.c?.look).toMatchObject({ fill: '#dfe8e2', radius: 2 });
  });

  test('lets tiles go, and goes itself', () => {
    const released = run(
      used,
      releaseTiles(['b']),
      setLook(['a'], { fill: '#000000' }),
      updateRecipe('a', freshId),
    );
    expect(released.tiles.b?.look.fill).toBe('#dfe8e2');
    const gone = run(used, removeRecipe('note'));
    expect(gone.recipes).toEqual({});
    expect(gone.tiles.c).not.toHaveProperty('recipe');
  });

  test('of a group brings its uses to what the group has become', () => {
    const grouped = run(three, groupTiles(['a', 'b'], 'card', 0), makeRecipe('card', 'note', 'Card'));
    const twice = run(grouped, addFromRecipe({ ...use(grouped), position: 2 }));
    const copy = twice.tiles[twice.order.at(-1) ?? ''];
    if (copy?.kind !== 'group') throw new Error('The use is a group.');
    const [first] = copy.order;
    const changed = run(
      twice,
      hold([first ?? ''], { heading: 'Own words' }),
      (draft) => {
        const card = draft.tiles.card;
        if (card?.kind !== 'group') return;
        card.order = ['a'];
        delete draft.tiles.b;
        draft.tiles.s = newTile('stat', 's') as (typeof draft.tiles)[string];
        card.order.push('s');
        card.arrangement.columnGap = 3;
      },
      updateRecipe('card', freshId),
    );
    const after = changed.tiles[copy.id];
    if (after?.kind !== 'group') throw new Error('The use is a group.');
    expect(after.order.map((id) => changed.tiles[id]).map((tile) => tile && kindTitle(tile))).toEqual([
      'Text',
      'Stat',
    ]);
    expect(heldBy(changed.tiles[first ?? ''])).toMatchObject({ heading: 'Own words' });
    expect(after.arrangement.columnGap).toBe(3);
  });

  test('goes along with tiles into another collection', () => {
    const taken = tilesFromText(tilesToText(used, ['b']));
    if (!taken) throw new Error('Nothing was taken.');
    const other = run(emptyDocument('Other'), pasteTiles(taken, 0, freshId));
    expect(other.recipes).toHaveProperty('note');
    expect(recipeDifferences(other.recipes, Object.values(other.tiles)[0] as Tile)).toEqual([]);
  });
});

describe('starters', () => {
  test('are sixteen and more, each with a name of its own', () => {
    expect(STARTERS.length).toBeGreaterThanOrEqual(16);
    expect(new Set(STARTERS.map(({ name }) => name)).size).toBe(STARTERS.length);
  });

  test.each(STARTERS.map((recipe) => [recipe.name, recipe] as const))(
    '%s is sound in every variant',
    (_, recipe) => {
      let document = emptyDocument('Huts');
      for (const variant of [null, ...recipe.variants.map(({ id }) => id)]) {
        document = run(
          document,
          addFromRecipe({ recipe, variant, assets: starterAssets, position: 0, freshId }),
        );
        const tile = document.tiles[document.order[0] ?? ''] as Tile;
        expect(recipeDifferences(document.recipes, tile)).toEqual([]);
      }
    },
  );
});

describe('a named look', () => {
  const moss = { id: 'moss', name: 'Moss', kind: 'colour', value: '#dfe8e2' } as const;
  const followed = run(three, setNamedLook(moss), setLook(['a'], { fill: '{moss}' }));

  test('leaves its value where it was followed when it goes', () => {
    const gone = run(followed, setNamedLook({ ...moss, value: '#123456' }), removeNamedLook('moss'));
    expect(gone.tiles.a?.look.fill).toBe('#123456');
  });

  test('that is not there is an error', () => {
    const broken = {
      ...three,
      tiles: {
        ...three.tiles,
        a: { ...text('a', 'A'), look: { ...newTile('text', 'a').look, fill: '{fern}' } },
      },
    };
    expect(checkDocument(broken).problems.map(({ message }) => message)).toEqual([
      'There is no named look “fern”. Add it to “namedLooks”, or write the value itself.',
    ]);
  });
});

describe('what a recipe takes the place of', () => {
  const grouped = run(
    { ...three, bands: [{ id: 'narrow', below: 600, arrangement: {}, tiles: {} }] },
    setLook(['c'], { fill: '#dfe8e2' }),
    makeRecipe('c', 'note', 'Note'),
    groupTiles(['a', 'b'], 'g', 0),
    onLevel('g', setArrangement({ rowGap: 2 }, 1, 'band')),
    onLevel('g', setSpan({ tiles: ['a'], band: 1, setFor: 'band', columnSpan: 2 })),
    setBandLook(['g', 'a'], { spread: 'start' }, 1),
    setSpan({ tiles: ['g'], band: 1, setFor: 'band', columnSpan: 3 }),
  );

  test('leaves nothing behind: a group that uses it has its place, not what bands set inside of it', () => {
    const after = run(grouped, applyRecipe(['g'], use(grouped)));
    expect(Object.keys(after.tiles).sort()).toEqual(['c', 'g']);
    expect(after.bands[0]).toMatchObject({ tiles: { g: { columnSpan: 3 } }, groups: {}, looks: {} });
  });

  test('a group that is taken apart in one use is taken apart in all, and nothing in it is lost', () => {
    const made = run(
      { ...three, tiles: { ...three.tiles, d: text('d', 'D') }, order: ['a', 'b', 'c', 'd'] },
      groupTiles(['a', 'b'], 'inner', 0),
      groupTiles(['inner', 'c'], 'outer', 0),
      makeRecipe('outer', 'note', 'Note'),
    );
    const two = run(made, applyRecipe(['d'], use(made)));
    const after = run(two, onLevel('outer', ungroup('inner')), updateRecipe('outer', freshId));
    const kinds = (id: string) => {
      const group = after.tiles[id];
      const inside = group?.kind === 'group' ? group.order : [];
      return inside.map((each) => after.tiles[each]).map((tile) => tile && kindTitle(tile));
    };
    expect(kinds('outer')).toEqual(['Text', 'Text', 'Stat']);
    expect(kinds('d')).toEqual(kinds('outer'));
  });
});
