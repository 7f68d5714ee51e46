import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDocument, type ArrangementName } from '@noria/core';
import { composeStore, stats } from '../../testing/composeStore';
import { entered } from '../editorSlice';
import { selectSelected, selectTrail } from '../selectors';
import { redo, undo } from '../document/run';
import { addNewTile, copiedText, deleteTiles, duplicateTiles, pasteText } from './tiles';
import { openSelectedGroup, groupSelected, ungroupSelected } from './groups';
import { fitToSlots } from './pictures';
import { giveToSelected, putOn, takeBrush } from './brush';
import { growTiles, pinTiles, reorderTiles } from './place';
import { stepSelected } from './step';
import { deselectTiles, selectAll, selectMoreTowards, selectTowards } from './select';

const SPANS = [
  [2, 1],
  [1, 1],
  [1, 2],
  [1, 1],
  [2, 1],
] as const;
const open = (kind: ArrangementName = 'bento') => composeStore(stats(SPANS, { kind }));

describe('any work', () => {
  const acts = {
    right: () => selectTowards(1, 0),
    down: () => selectTowards(0, 1),
    more: () => selectMoreTowards(1, 0),
    all: () => selectAll(),
    grow: () => growTiles(1, 0),
    shrink: () => growTiles(-1, 0),
    higher: () => growTiles(0, 1),
    step: () => stepSelected(1, 0),
    stepDown: () => stepSelected(0, 1),
    pin: () => pinTiles(),
    later: () => reorderTiles(1),
    copy: () => duplicateTiles(),
    add: () => addNewTile('text'),
    group: () => groupSelected(),
    enter: () => openSelectedGroup(),
    apart: () => ungroupSelected(),
    out: () => deselectTiles(),
    remove: () => deleteTiles(),
    fit: () => fitToSlots(),
    look: () => giveToSelected('look'),
  } as const;
  const kinds = fc.constantFrom<ArrangementName>('bento', 'fluid', 'masonry', 'rows', 'mosaic', 'fan');
  const work = fc.array(fc.constantFrom(...(Object.keys(acts) as (keyof typeof acts)[])), {
    minLength: 3,
    maxLength: 14,
  });

  test('leaves a sound document in every kind, undone to the start and done again to the end', () => {
    fc.assert(
      fc.property(kinds, work, (kind, names) => {
        const { run, document, steps, warned, store } = open(kind);
        const start = document();
        for (const name of names) {
          run<unknown>(acts[name]());
          // Only the look asks for a selected tile in words that are seen.
          expect([null, 'Select the tile to copy from first.']).toContain(warned());
          // what is selected is always there.
          const selected = selectSelected(store.getState());
          expect(new Set(selected).size).toBe(selected.length);
        }
        const end = document();
        expect(checkDocument(JSON.parse(JSON.stringify(end))).document).toEqual(end);
        const done = steps().length;
        for (let k = 0; k < done; k++) run(undo());
        expect(document()).toEqual(start);
        for (let k = 0; k < done; k++) run(redo());
        expect(document()).toEqual(end);
      }),
      { numRuns: 60 },
    );
  }, 120_000);
});

describe('what is selected', () => {
  test('moves to the nearest tile in a direction, and takes it as well', () => {
    const { run, selected } = open();
    expect(run(selectTowards(1, 0))).toBe('t1');
    expect(run(selectTowards(1, 0))).toBe('t2');
    run(selectMoreTowards(1, 0));
    expect(selected()).toEqual(['t2', 't3']);
    run(selectMoreTowards(-1, 0));
    expect(selected()).toEqual(['t3', 't2']);
    run(deselectTiles());
    expect(selected()).toEqual([]);
  });

  test('a copy is taken; what is deleted is let go', () => {
    const { take, run, selected, document, said } = open();
    take('t2');
    run(duplicateTiles());
    expect(selected()).toHaveLength(1);
    expect(document().order).toHaveLength(6);
    expect(selected()).not.toContain('t2');
    take('t1', 't2');
    run(deleteTiles());
    expect(selected()).toEqual([]);
    expect(document().order).toHaveLength(4);
    expect(said()).toBe('2 tiles deleted. Undo brings them back.');
  });

  test('a new tile comes after what is selected', () => {
    const { take, run, document, selected } = open();
    take('t2');
    run(addNewTile('quote'));
    expect(document().order.indexOf(selected()[0] ?? '')).toBe(2);
  });
});

describe('groups', () => {
  test('are made, entered, left and taken apart', () => {
    const { take, run, document, selected, store, said } = open();
    take('t2', 't4');
    run(groupSelected());
    const [group = ''] = selected();
    expect(document().tiles[group]).toMatchObject({ kind: 'group', order: ['t2', 't4'] });
    run(openSelectedGroup());
    expect(selectTrail(store.getState())).toEqual([group]);
    expect(selected()).toEqual(['t2']);
    run(deselectTiles());
    run(deselectTiles());
    expect(selectTrail(store.getState())).toEqual([]);
    expect(selected()).toEqual([group]);
    run(ungroupSelected());
    expect(document().order.toSorted()).toEqual(['t1', 't2', 't3', 't4', 't5']);
    expect(said()).toBe('Ungrouped; 2 tiles selected.');
  });

  test('one that is undone away is not stood in any more', () => {
    const { take, run, store } = open();
    take('t2', 't4');
    run(groupSelected());
    run(openSelectedGroup());
    run(undo());
    expect(selectTrail(store.getState())).toEqual([]);
    expect(selectSelected(store.getState()).map(({ id }) => id)).toEqual(['t2']);
  });

  test('work in a group is in the group alone', () => {
    const { take, run, document, selected, store } = open();
    take('t2', 't4');
    run(groupSelected());
    const [group = ''] = selected();
    store.dispatch(entered(group));
    run(addNewTile('text'));
    expect(document().tiles[group]).toMatchObject({ order: ['t2', 't4', selected()[0]] });
    expect(document().order).not.toContain(selected()[0]);
  });
});

describe('the clipboard', () => {
  test('carries tiles into another collection as new ones', () => {
    const from = open();
    from.take('t1', 't3');
    const text = from.run(copiedText());
    const to = open('masonry');
    expect(to.run(pasteText(text ?? ''))).toBe(true);
    expect(to.document().order).toHaveLength(7);
    expect(to.selected()).toHaveLength(2);
    expect(to.selected().map((id) => to.document().tiles[id]?.name)).toEqual(['Stat 1', 'Stat 3']);
  });

  test('any other text is none of its business, and nothing selected is nothing to copy', () => {
    const { run, steps } = open();
    for (const text of ['', 'snow', '{"tiles":{}}', '[1, 2']) expect(run(pasteText(text))).toBe(false);
    expect(run(copiedText())).toBeNull();
    expect(steps()).toEqual([]);
  });
});

describe('what is taken from a tile', () => {
  test('is put on others, as often as wanted, and not on itself', () => {
    const { take, run, document, steps, store } = open();
    take('t3');
    run(takeBrush('spans'));
    expect(run(putOn(['t3']))).toBe(true);
    expect(steps()).toEqual([]);
    run(putOn(['t2']));
    run(putOn(['t4']));
    expect([document().tiles.t2?.place.rowSpan, document().tiles.t4?.place.rowSpan]).toEqual([2, 2]);
    expect(store.getState().editor.brush).toMatchObject({ from: 't3' });
  });

  test('the first selected gives to the others at once; with none selected it is said what to do', () => {
    const { take, run, document, warned, store } = open();
    run(giveToSelected('spans'));
    expect(warned()).toMatch(/^Select the tile to copy from/);
    take('t3', 't2', 't4');
    run(giveToSelected('spans'));
    expect([document().tiles.t2?.place.rowSpan, document().tiles.t4?.place.rowSpan]).toEqual([2, 2]);
    expect(store.getState().editor.brush).toBeNull();
  });
});
