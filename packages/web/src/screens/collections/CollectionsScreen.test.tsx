/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter, Route, Routes } from 'react-router';
import type { ListedCollection } from '../../api/listedCollections';
import { makeStore } from '../../app/store';
import { fakeServer, refused } from '../../testing/fakeServer';
import { CollectionsScreen } from './CollectionsScreen';

afterEach(cleanup);

const listed = (id: string, tiles = 3): ListedCollection => ({
  id,
  name: `Hut ${id}`,
  revision: 4,
  updatedAt: '2026-02-03T10:00:00Z',
  summary: { tiles, recipes: 0, document: null, unreadable: 'It has another format.' },
});

function shown() {
  render(
    <Provider store={makeStore()}>
      <MemoryRouter>
        <Routes>
          <Route index element={<CollectionsScreen />} />
          <Route path="collections/:id/compose" element={<p>Composing</p>} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  );
}
const names = () => screen.queryAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent);

test('shows the collections page by page, each once', async () => {
  const asked = fakeServer({
    'GET /collections': ({ url }) =>
      url.searchParams.get('after') === 'b'
        ? { entries: [listed('b'), listed('c')], next: null }
        : { entries: [listed('a'), listed('b')], next: 'b' },
  });
  shown();
  expect(screen.getAllByText('Opening…')).toHaveLength(1);
  await waitFor(() => expect(names()).toEqual(['Hut a', 'Hut b']));
  fireEvent.click(screen.getByRole('button', { name: 'Show more' }));
  await waitFor(() => expect(names()).toEqual(['Hut a', 'Hut b', 'Hut c']));
  expect(screen.queryByRole('button', { name: 'Show more' })).toBeNull();
  expect(asked).toEqual(['GET /collections?limit=24', 'GET /collections?limit=24&after=b']);
});

test('a new collection is opened when it is there, and what went wrong is said', async () => {
  let full = true;
  fakeServer({
    'GET /collections': () => ({ entries: [], next: null }),
    'POST /collections': ({ body }) =>
      full ? refused(507, 'The disk is full.') : { id: 'new', ...(body as object) },
  });
  shown();
  await screen.findByText('No collections yet. Create the first one, or drop a page here.');
  const button = screen.getByRole('button', { name: 'New collection' });
  fireEvent.click(button);
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('The disk is full.'));
  full = false;
  fireEvent.click(button);
  await screen.findByText('Composing');
});

test('a collection is deleted after a question, and the list is read again', async () => {
  let all = [listed('a'), listed('b')];
  const asked = fakeServer({
    'GET /collections': () => ({ entries: all, next: null }),
    'DELETE /collections/a': () => {
      all = all.slice(1);
      return {};
    },
  });
  shown();
  await waitFor(() => expect(names()).toEqual(['Hut a', 'Hut b']));
  fireEvent.keyDown(screen.getByRole('button', { name: 'Actions for Hut a' }), { key: 'Enter' });
  fireEvent.click(await screen.findByRole('menuitem', { name: 'Delete…' }));
  const question = await screen.findByRole('alertdialog', { name: 'Delete “Hut a”?' });
  fireEvent.click(within(question).getByRole('button', { name: 'Delete' }));
  await waitFor(() => expect(names()).toEqual(['Hut b']));
  expect(asked.filter((each) => each.startsWith('DELETE'))).toEqual(['DELETE /collections/a']);
});

test('a collection that was changed meanwhile is not deleted, and why is said', async () => {
  fakeServer({
    'GET /collections': () => ({ entries: [listed('a')], next: null }),
    'DELETE /collections/a': () => refused(412, 'It was changed meanwhile.'),
  });
  shown();
  await waitFor(() => expect(names()).toEqual(['Hut a']));
  fireEvent.keyDown(screen.getByRole('button', { name: 'Actions for Hut a' }), { key: 'Enter' });
  fireEvent.click(await screen.findByRole('menuitem', { name: 'Delete…' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Delete' }));
  await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('It was changed meanwhile. '));
  expect(names()).toEqual(['Hut a']);
});

test('a server that does not answer is asked again until it does', async () => {
  let away = true;
  fakeServer({
    'GET /collections': () => (away ? new Error('no way there') : { entries: [listed('a')], next: null }),
  });
  shown();
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toBe('The server does not answer. Trying again…');
  away = false;
  await waitFor(() => expect(names()).toEqual(['Hut a']), { timeout: 20_000 });
  expect(screen.queryByRole('alert')).toBeNull();
});
