/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { change, setArrangement, setPart, setTile, type CollectionDocument } from '@noria/core';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import { composeStore, stats } from '../../testing/composeStore';
import { fakeServer, refused } from '../../testing/fakeServer';
import { fetchAhead } from '../../ui/lazily';
import { asked, savingChanged } from '../document/documentSlice';
import { run } from '../document/run';
import { runHere } from '../here';
import { onTop } from '../saving/versions';
import { DeletedDialog } from './DeletedDialog';
import { NotSaved } from './NotSaved';
import { QuestionDialog } from './QuestionDialog';
import { TopBar } from './TopBar';

beforeAll(() => fetchAhead());
afterEach(cleanup);

const beds = stats([
  [1, 1],
  [1, 1],
]);

function shown(content: React.ReactNode) {
  const compose = composeStore(beds);
  render(
    <Provider store={compose.store}>
      <MemoryRouter initialEntries={['/collections/c/compose']}>
        <Routes>
          <Route path="/" element={<p>All collections</p>} />
          <Route path="collections/c/compose" element={content} />
          <Route path="collections/copy/compose" element={<p>The copy</p>} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
  return compose;
}

describe('the bar at the top', () => {
  const renamed = (name: string) => {
    fireEvent.click(screen.getByRole('button', { name: 'Beds' }));
    const field = screen.getByRole('textbox', { name: 'Name of the collection' });
    fireEvent.change(field, { target: { value: name } });
    return field;
  };

  test('renames the collection by Enter and on leaving, and not by Escape or without a name', () => {
    const { document, steps } = shown(<TopBar id="c" />);
    fireEvent.keyDown(renamed('Bunks'), { key: 'Escape' });
    fireEvent.keyDown(renamed('   '), { key: 'Enter' });
    expect([document().name, steps()]).toEqual(['Beds', []]);
    fireEvent.keyDown(renamed('  Bunks '), { key: 'Enter' });
    expect([document().name, steps()]).toEqual(['Bunks', ['Name']]);
    expect(globalThis.document.title).toBe('Bunks – Noria');
  });

  test('undoes and redoes by name, and goes to any step', async () => {
    const { run: dispatch, document, steps } = shown(<TopBar id="c" />);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Nothing to undo' }).disabled).toBe(true);
    act(() => {
      dispatch(run('First', setTile(['t1'], { name: 'A' })));
      dispatch(run('Second', setTile(['t1'], { name: 'B' })));
    });
    fireEvent.click(screen.getByRole('button', { name: 'Undo: Second' }));
    expect(document().tiles.t1?.name).toBe('A');
    fireEvent.click(screen.getByRole('button', { name: 'Redo: Second' }));
    expect(document().tiles.t1?.name).toBe('B');

    fireEvent.click(await screen.findByRole('button', { name: 'History' }));
    const listed = await screen.findByRole('list');
    const items = within(listed).getAllByRole('button');
    expect(items.map(({ textContent }) => textContent)).toEqual(['0As opened', '1FirstB, A', '2SecondB']);
    expect(items[2]?.getAttribute('aria-current')).toBe('step');
    fireEvent.click(items[0] as HTMLElement);
    expect([document().tiles.t1?.name, steps()]).toEqual(['Stat 1', []]);
    fireEvent.click(items[2] as HTMLElement);
    expect(document().tiles.t1?.name).toBe('B');
  });

  test('says whether all is saved, and why it is not', () => {
    const { store } = shown(<TopBar id="c" />);
    const state = () => screen.getByRole('status', { name: 'Saving state' }).textContent;
    expect(state()).toBe('Saved');
    act(() => void store.dispatch(savingChanged({ state: 'deleted' })));
    expect(state()).toBe('Not saved');
    fireEvent.click(screen.getByRole('button', { name: 'Not saved why' }));
    expect(screen.getByText(/was deleted elsewhere/).textContent).toBe(
      'This collection was deleted elsewhere. Save it as a new one, or download it.',
    );
  });
});

test('why something is not saved is closed by Escape and on leaving', () => {
  render(<NotSaved why="The disk is full." />);
  const button = screen.getByRole('button');
  fireEvent.click(button);
  expect(button.nextElementSibling?.textContent).toBe('The disk is full.');
  fireEvent.keyDown(button, { key: 'Escape' });
  expect(screen.queryByText('The disk is full.')).toBeNull();
  fireEvent.click(button);
  fireEvent.blur(button);
  expect(button.getAttribute('aria-expanded')).toBe('false');
});

describe('what was changed here and elsewhere', () => {
  const after = (...commands: Parameters<typeof change>[1][]) =>
    commands.reduce<CollectionDocument>((document, command) => change(document, command).document, beds);
  const theirs = after(
    setPart(['t1'], 'figure', { words: '9' }),
    setTile(['t2'], { name: 'Theirs' }),
    setArrangement({ rowGap: 40 }, 0, 'all'),
  );

  function question() {
    const compose = shown(<QuestionDialog />);
    act(() => {
      compose.run(runHere('Figure', setPart(['t1'], 'figure', { words: '5' })));
      compose.run(runHere('Name', setTile(['t2'], { name: 'Ours' })));
      const { meetings } = onTop({ base: beds, document: compose.document() }, theirs);
      compose.store.dispatch(asked({ base: beds, theirs, revision: 2, meetings }));
    });
    const values = () => {
      const { tiles, arrangement } = compose.document();
      const [figure] = tiles.t1?.kind === 'card' ? tiles.t1.parts : [];
      return [figure && 'words' in figure ? figure.words : null, tiles.t2?.name, arrangement.rowGap];
    };
    const apply = () => fireEvent.click(screen.getByRole('button', { name: 'Apply' }));
    return { ...compose, values, apply };
  }

  test('is asked value by value; ours are kept where nothing is chosen, and all else of both', async () => {
    const { values, apply } = question();
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows.map(({ textContent }) => textContent)).toEqual([
      'Tile “Stat 1”figure59',
      'Tile “Ours”nameOursTheirs',
    ]);
    apply();
    await waitFor(() => expect(values()).toEqual(['5', 'Ours', 40]));
    expect(screen.queryByRole('alertdialog')).toBeNull();
  });

  test('can be chosen one by one', async () => {
    const { values, apply } = question();
    const [, second] = screen.getAllByRole('row').slice(1);
    fireEvent.click(within(second as HTMLElement).getAllByRole('radio')[1] as HTMLElement);
    apply();
    await waitFor(() => expect(values()).toEqual(['5', 'Theirs', 40]));
  });

  test('can be chosen all at once', async () => {
    const { values, apply } = question();
    fireEvent.click(screen.getByRole('button', { name: 'Choose all from elsewhere' }));
    apply();
    await waitFor(() => expect(values()).toEqual(['9', 'Theirs', 40]));
  });
});

describe('a collection that was deleted elsewhere', () => {
  test('is saved as a new one, and gone on with', async () => {
    const asked = fakeServer({
      'POST /collections': ({ body }) => ({
        id: 'copy',
        name: 'Beds (kept)',
        revision: 1,
        updatedAt: '',
        document: (body as { document: unknown }).document,
      }),
    });
    const { document } = shown(<DeletedDialog />);
    fireEvent.click(screen.getByRole('button', { name: 'Save as a new collection' }));
    await screen.findByText('The copy');
    expect(document().name).toBe('Beds (kept)');
    expect(asked).toEqual(['POST /collections']);
  });

  test('that can’t be saved stays on the screen, and why is said', async () => {
    fakeServer({ 'POST /collections': () => refused(507, 'The disk is full.') });
    const { warned } = shown(<DeletedDialog />);
    fireEvent.click(screen.getByRole('button', { name: 'Save as a new collection' }));
    await waitFor(() => expect(warned()).toContain('The disk is full.'));
    expect(screen.getByRole('alertdialog').textContent).toContain('“Beds” was deleted elsewhere');
  });

  test('can be given up', async () => {
    shown(<DeletedDialog />);
    fireEvent.click(screen.getByRole('button', { name: 'Discard collection' }));
    await screen.findByText('All collections');
  });
});
