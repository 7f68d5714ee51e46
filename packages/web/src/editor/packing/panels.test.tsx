/** @jest-environment jsdom */
import '../../testing/browser';
import '../../testing/engineHere';
import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { shown } from '../editorSlice';
import { selectLayout, selectView } from '../selectors';
import { GapsPanel } from './GapsPanel';
import { ProposalsPanel } from './ProposalsPanel';

afterEach(cleanup);

/** Spans that leave a hole in each of two rows where they stay in order. */
const LOOSE = [
  [3, 1],
  [2, 1],
  [1, 1],
  [2, 1],
] as const;

const later = { timeout: 20_000 };

function panel(which: 'gaps' | 'proposals', content: ReactNode, document = stats(LOOSE, { flow: 'sparse' })) {
  const compose = composeStore(document);
  compose.store.dispatch(shown(which));
  render(<Provider store={compose.store}>{content}</Provider>);
  return {
    ...compose,
    spans: () =>
      selectView(compose.store.getState()).order.map(
        (id) => selectView(compose.store.getState()).tiles[id]?.place.columnSpan,
      ),
    holes: () => selectLayout(compose.store.getState()).coverage.holes.length,
    isOpen: () => compose.store.getState().editor.showing !== null,
  };
}

describe('closing the gaps', () => {
  test('says what would change, shows it on the stage, and is one step when it is applied', async () => {
    const { steps, holes, document, isOpen } = panel('gaps', <GapsPanel />);
    const list = await screen.findByRole('list', { name: 'What would change' }, later);
    expect(within(list).getAllByRole('listitem').length).toBeGreaterThan(0);
    expect(screen.getByRole('status').textContent).toMatch(/^No gap is left: /);
    expect(holes()).toBe(0);
    expect(steps()).toEqual([]);
    const apply = screen.getByRole('button', { name: 'Apply' });
    await waitFor(() => expect(globalThis.document.activeElement).toBe(apply));
    fireEvent.click(apply);
    expect(steps()).toEqual(['Close the gaps']);
    expect(isOpen()).toBe(false);
    expect(document().order).toHaveLength(4);
  });

  test('changes nothing when it is left', async () => {
    const { steps, isOpen, spans } = panel('gaps', <GapsPanel />);
    await screen.findByRole('list', { name: 'What would change' }, later);
    fireEvent.keyDown(screen.getByRole('complementary', { name: 'Close the gaps' }), { key: 'Escape' });
    expect(isOpen()).toBe(false);
    cleanup();
    expect([steps(), spans()]).toEqual([[], [3, 2, 1, 2]]);
  });

  test('says so where there is none', async () => {
    panel('gaps', <GapsPanel />, stats([[4, 1]]));
    await screen.findByText('There is no gap in this band.', {}, later);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Apply' }).disabled).toBe(true);
  });

  test('does no more than it may', async () => {
    panel(
      'gaps',
      <GapsPanel />,
      stats([
        [3, 1],
        [3, 1],
      ]),
    );
    await screen.findByRole('list', { name: 'What would change' }, later);
    const most = screen.getByRole('textbox', { name: 'Span changes' });
    fireEvent.change(most, { target: { value: '0' } });
    fireEvent.blur(most);
    await screen.findByText(/^Nothing within these bounds closes the gaps; 2 cells stay empty\.$/, {}, later);
  });
});

describe('proposals', () => {
  test('are without a hole, seen while they are pointed at, and one step when they are pressed', async () => {
    const { steps, holes, isOpen, spans } = panel('proposals', <ProposalsPanel />);
    const [first] = await screen.findAllByRole('button', { name: /^Proposal 1, score \d+$/ }, later);
    fireEvent.pointerEnter(first as HTMLElement);
    expect([holes(), steps()]).toEqual([0, []]);
    const shown = spans();
    fireEvent.pointerLeave(first as HTMLElement);
    expect(spans()).toEqual([3, 2, 1, 2]);
    fireEvent.click(first as HTMLElement);
    expect([spans(), steps(), isOpen()]).toEqual([shown, ['Proposal'], false]);
  });

  test('there are more of, and of several selected tiles alone', async () => {
    const compose = panel('proposals', <ProposalsPanel />);
    await screen.findAllByRole('button', { name: /^Proposal/ }, later);
    fireEvent.click(screen.getByRole('button', { name: 'More proposals' }));
    await screen.findAllByRole('button', { name: /^Proposal/ }, later);
    act(() => compose.take('t2', 't3'));
    await screen.findByText(/for the 2 selected/, {}, later);
    fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(compose.isOpen()).toBe(false);
  });
});
