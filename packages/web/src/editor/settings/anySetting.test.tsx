/** @jest-environment jsdom */
import '../../testing/browser';
import { afterAll, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render } from '@testing-library/react';
import fc from 'fast-check';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { composeStore } from '../../testing/composeStore';
import { DEMOS, errorsIn } from '../../testing/demos';
import { undo } from '../document/run';
import { entered, shown, type Showing } from '../editorSlice';
import { selectView } from '../selectors';
import { fetchAhead } from '../../ui/lazily';
import { Settings } from './Settings';

const complaints = jest.spyOn(console, 'error');
const clear = () => {
  cleanup();
  complaints.mockReset().mockImplementation(() => undefined);
};
beforeEach(clear);
afterAll(() => complaints.mockRestore());

/** The list of signs comes later, and jsdom follows no link to a file. */
const LEFT_OUT = /suspended resource|Not implemented: navigation/;
const amiss = () => complaints.mock.calls.map(String).filter((words) => !LEFT_OUT.test(words));

const CONTROLS =
  'button, input:not([type=file]), textarea, [role=tab], [role=option], [role=menuitem], [role=slider]';

/** What a person finds to press or to type into, in the order of the page. */
const controls = () =>
  [...document.body.querySelectorAll<HTMLElement>(CONTROLS)].filter(
    (each) => !each.matches(':disabled, [aria-disabled=true]') && !each.closest('[inert], [hidden]'),
  );

const isTyped = (each: HTMLElement) =>
  each.matches('textarea, input:not([type=checkbox], [type=radio], [type=range])');

/** Uses one of the controls there are as a hand would, and says which. */
function use(k: number, text: string): string {
  const all = controls();
  const control = all[k % Math.max(1, all.length)];
  if (!control) return 'nothing there';
  const name = control.getAttribute('aria-label') ?? control.textContent;
  if (isTyped(control)) {
    fireEvent.change(control, { target: { value: text } });
    fireEvent.keyDown(control, { key: 'Enter' });
    fireEvent.blur(control);
    return `types “${text}” into ${name}`;
  }
  if (control.matches('[type=range], [role=slider]')) fireEvent.keyDown(control, { key: 'ArrowRight' });
  else {
    fireEvent.pointerDown(control, { button: 0 });
    fireEvent.mouseDown(control, { button: 0 });
    fireEvent.pointerUp(control, { button: 0 });
    fireEvent.click(control);
  }
  return `presses ${name}`;
}

const typed = fc.constantFrom(
  ...['', '0', '1', '3', '17', '240', '100000', '-5', '1/3', '50%'],
  ...['Hut <b>', '#a1b2c3', '1fr 200px', 'javascript:alert(1)', '{title}'],
);
const acts = fc.array(fc.tuple(fc.nat(400), typed), { minLength: 1, maxLength: 8 });
const showing = fc.constantFrom<Showing | null>(
  null,
  null,
  null,
  'looks',
  'recipes',
  'table',
  'band',
  'findings',
);

// What comes later in the browser is there from the start.
beforeAll(() => fetchAhead());

describe('any settings used in any way', () => {
  test.each(DEMOS)('leave “%s” sound, and are undone to the start', (_, start) => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(30), { maxLength: 2 }),
        fc.constantFrom(320, 700, 1280),
        showing,
        fc.nat(5),
        acts,
        (hand, width, what, inside, all) => {
          const compose = composeStore(start, width);
          const groups = start.order.filter((id) => start.tiles[id]?.kind === 'group');
          const level = groups[inside] ?? null;
          if (level !== null) compose.store.dispatch(entered(level));
          const { order } = selectView(compose.store.getState());
          compose.take(...new Set(hand.flatMap((k) => order[k] ?? [])));
          compose.store.dispatch(shown(what));
          render(
            <Provider store={compose.store}>
              <MemoryRouter>
                <Settings />
              </MemoryRouter>
            </Provider>,
          );
          const done: string[] = [];
          for (const [k, text] of all) {
            done.push(use(k, text));
            expect([done, errorsIn(compose.document())]).toEqual([done, []]);
          }
          act(() => {
            while (compose.steps().length > 0) compose.run(undo());
          });
          expect([done, compose.document()]).toEqual([done, start]);
          expect([done, amiss()]).toEqual([done, []]);
        },
      ),
      { numRuns: Number(process.env.NORIA_RUNS ?? 4), plugins: [fc.beforeEach(clear)] },
    );
  });
});
