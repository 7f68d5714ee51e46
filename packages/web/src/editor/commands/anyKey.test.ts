/** @jest-environment jsdom */
import '../../testing/browser';
import { describe, expect, test } from '@jest/globals';
import { flatTiles } from '@noria/core';
import fc from 'fast-check';
import { composeStore } from '../../testing/composeStore';
import { DEMOS, errorsIn } from '../../testing/demos';
import { redo, undo } from '../document/run';
import { openSelectedGroup } from '../actions/groups';
import { needleMoved, tilesSelected } from '../editorSlice';
import { pressedCommand } from './useKeys';
import { selectLayout, selectView } from '../selectors';

const NAMED = ['PageUp', 'PageDown', 'Delete', 'Escape', 'Enter', '[', ']', ',', '.'];
const key = fc.oneof(
  fc
    .constantFrom('ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown')
    .map((name) => ({ key: name, code: name })),
  fc.integer({ min: 1, max: 9 }).map((digit) => ({ key: String(digit), code: `Digit${digit}` })),
  fc
    .constantFrom(...Array.from('abcdefghijklmnopqrstuvwxyz'))
    .map((letter) => ({ key: letter, code: `Key${letter.toUpperCase()}` })),
  fc.constantFrom(...NAMED).map((name) => ({ key: name, code: name })),
);
const held = fc.constantFrom({}, {}, {}, { shiftKey: true }, { altKey: true }, { ctrlKey: true });
const pressed = fc.tuple(key, held).map(([one, other]) => ({ ...one, ...other }));
/** What hands do between keys: take some tiles, another width, or open the selected group. */
const hands = fc.oneof(
  fc.constant({ enters: true }),
  fc.array(fc.nat(30), { minLength: 1, maxLength: 3 }).map((take) => ({ take })),
  fc.integer({ min: 240, max: 2000 }).map((width) => ({ width })),
);
const acts = fc.array(fc.oneof({ weight: 3, arbitrary: pressed }, { weight: 1, arbitrary: hands }), {
  minLength: 4,
  maxLength: 24,
});

describe('any keys in any order', () => {
  test.each(DEMOS)('leave “%s” sound, and are undone and done again', (_, start) => {
    fc.assert(
      fc.property(acts, (all) => {
        const compose = composeStore(start);
        compose.take(...start.order.slice(0, 1));
        const { store, run, document, steps } = compose;
        const done: unknown[] = [];
        for (const each of all) {
          if ('width' in each) store.dispatch(needleMoved(each.width));
          else if ('enters' in each) run(openSelectedGroup());
          else if ('take' in each) {
            const { order } = selectView(store.getState());
            store.dispatch(tilesSelected(each.take.flatMap((k) => order[k] ?? [])));
          } else {
            const event = new KeyboardEvent('keydown', each);
            const command = pressedCommand(event);
            if (!command) continue;
            run(command.run(event));
          }
          done.push(each);
          expect([done, errorsIn(document())]).toEqual([done, []]);
          const sizes = flatTiles(selectLayout(store.getState())).flatMap((tile) => [
            tile.x,
            tile.y,
            tile.inlineSize,
            tile.blockSize,
          ]);
          expect([done, sizes.every(Number.isFinite)]).toEqual([done, true]);
        }
        const end = document();
        const count = steps().length;
        for (let k = 0; k < count; k++) run(undo());
        expect([done, document()]).toEqual([done, start]);
        for (let k = 0; k < count; k++) run(redo());
        expect([done, document()]).toEqual([done, end]);
      }),
      { numRuns: Number(process.env.NORIA_RUNS ?? 8) },
    );
  });
});
