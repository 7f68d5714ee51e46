import { describe, expect, test } from '@jest/globals';
import { applyPatch } from '../patch/applyPatch.js';
import { change, type Command } from '../patch/change.js';
import { checkDocument } from '../../check/checkDocument.js';
import { withEntryIds } from '../../check/entryIds.js';
import { groupTiles, ungroup } from './groups.js';
import { LIMITS } from '../../document/limits.js';
import { makeRecipe } from '../recipes/makeRecipe.js';
import { onLevel } from './level.js';
import { removeTiles, setLook } from './tiles.js';
import { sample } from '../../testing/sample.js';
import { setIgnored } from './findings.js';
import { setArrangement } from './arrangement.js';
import { setBandLook, inheritLook } from './bandLooks.js';
import { setNamedLook } from './namedLooks.js';
import type { CollectionDocument } from '../../document/types.js';

const run = (document: CollectionDocument, ...commands: Command[]) => {
  const after = commands.reduce((each, command) => change(each, command).document, document);
  expect(checkDocument(JSON.parse(JSON.stringify(after))).problems).toEqual([]);
  return after;
};
const four = withEntryIds(
  sample([
    [1, 1],
    [1, 1],
    [2, 1],
    [1, 2],
  ]),
);
const grouped = run(four, groupTiles(['t1', 't2'], 'g', 0));

describe('a command in a group', () => {
  test('sets what bands set of looks, and takes it back', () => {
    const set = run(grouped, onLevel('g', setBandLook(['t1'], { spread: 'start' }, 1)));
    expect(set.bands[0]?.looks).toEqual({ t1: { spread: 'start' } });
    const back = run(set, onLevel('g', inheritLook(['t1'], 1, ['spread'])));
    expect(back.bands[0]?.looks ?? {}).toEqual({});
  });

  test('adds the first recipe, named look and ignored finding of a collection', () => {
    const made = run(grouped, onLevel('g', makeRecipe('t1', 'note', 'Note')));
    expect(made.recipes?.note?.name).toBe('Note');
    const look = { id: 'paper', kind: 'colour', name: 'Paper', value: '#f4f1ea' } as const;
    expect(Object.keys(run(grouped, onLevel('g', setNamedLook(look))).namedLooks ?? {})).not.toEqual([]);
    expect(run(grouped, onLevel('g', setIgnored('empty', ['t1'], true))).ignored).toHaveLength(1);
  });

  test('leaves the collection’s own arrangement and order', () => {
    const set = run(grouped, onLevel('g', setArrangement({ columnGap: 3 }, 1, 'band')));
    expect(set.arrangement).toBe(grouped.arrangement);
    expect(set.order).toBe(grouped.order);
    expect(set.bands[0]?.groups).toEqual({ g: { columnGap: 3 } });
    expect(set.bands[0]?.arrangement).toEqual(grouped.bands[0]?.arrangement);
  });

  test('is undone to where it was', () => {
    const { document, inverse } = change(grouped, onLevel('g', makeRecipe('t1', 'note', 'Note')));
    expect(document).not.toEqual(grouped);
    expect(applyPatch(document, inverse)).toEqual(grouped);
    expect(inverse.map(({ path }) => path)).toContain('/recipes');
  });

  test('in a group that is gone does nothing', () => {
    expect(change(four, onLevel('g', setLook(['t1'], { fill: '#000000' }))).document).toBe(four);
  });
});

describe('what bands say of a tile goes with it', () => {
  const looked = run(
    grouped,
    setBandLook(['g', 't1'], { spread: 'start' }, 1),
    onLevel('g', setArrangement({ rowGap: 2 }, 1, 'band')),
  );

  test('when a group is taken apart', () => {
    const apart = run(looked, ungroup('g'));
    expect(apart.bands[0]?.looks).toEqual({ t1: { spread: 'start' } });
    expect(apart.bands[0]?.groups).toEqual({});
  });

  test('when it is removed with its group', () => {
    expect(run(looked, removeTiles(['g'])).bands[0]?.looks).toEqual({});
  });
});

describe('groups in groups', () => {
  const nested = (depth: number) =>
    Array.from({ length: depth }, (_, k) => groupTiles([k === 0 ? 't1' : `g${k}`], `g${k + 1}`, 0));

  test('go as deep as a file may, and not deeper', () => {
    const deep = run(four, ...nested(LIMITS.depth));
    expect(() => change(deep, groupTiles([`g${LIMITS.depth}`], 'more', 0))).toThrow(
      `Groups lie at most ${LIMITS.depth} deep. Take one apart first.`,
    );
    expect(() => change(deep, onLevel('g1', groupTiles(['t1'], 'more', 0)))).toThrow(/deep/);
    expect(run(deep, groupTiles(['t2'], 'other', 0)).order).toContain('other');
  });

  test('that are too deep already can be taken apart', () => {
    const tooDeep = nested(LIMITS.depth + 1).reduce<CollectionDocument>((document, command) => {
      const draft = JSON.parse(JSON.stringify(document)) as Parameters<Command>[0];
      command(draft);
      return draft;
    }, four);
    const less = change(tooDeep, ungroup(`g${LIMITS.depth + 1}`)).document;
    expect(checkDocument(JSON.parse(JSON.stringify(less))).problems).toEqual([]);
  });
});

test('a collection has as many bands as a file may, and not more', () => {
  const add =
    (k: number): Command =>
    (draft) =>
      void draft.bands.push({ id: `b${k}`, below: 2000 - k * 40, arrangement: {}, tiles: {} });
  const none = { ...four, bands: [] };
  const full = run(none, ...Array.from({ length: LIMITS.bands }, (_, k) => add(k)));
  expect(() => change(full, add(LIMITS.bands))).toThrow(/at most 24 bands below the widest/);
});
