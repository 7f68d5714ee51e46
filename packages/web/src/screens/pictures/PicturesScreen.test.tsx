/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import type { LibraryPicture } from '../../api/pictures';
import { makeStore } from '../../app/store';
import { fakeServer, refused } from '../../testing/fakeServer';
import { PicturesScreen } from './PicturesScreen';

afterEach(cleanup);

const picture = (hash: string, own: Partial<LibraryPicture> = {}): LibraryPicture => ({
  hash,
  name: `${hash}.webp`,
  mediaType: 'image/webp',
  inlineSize: 900,
  blockSize: 600,
  byteSize: 40_960,
  colours: ['#102030', '#000000', '#ffffff'],
  raster: null,
  placeholder: null,
  aliases: [],
  alternativeText: '',
  createdAt: '2026-02-03T10:00:00Z',
  uses: 0,
  ...own,
});

const page = (entries: readonly LibraryPicture[], next: string | null = null) => ({
  entries,
  next,
  total: 61,
  silent: 2,
});

function shown() {
  render(
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={['/pictures']}>
        <PicturesScreen />
      </MemoryRouter>
    </Provider>,
  );
}
/** The pictures that are listed, by the beginning of their names. */
const listed = () =>
  [...document.querySelectorAll('main li')].map(({ textContent }) => /^\w+/.exec(textContent)?.[0]);

describe('the library', () => {
  test('says how many there are, and goes on with the next page', async () => {
    const asked = fakeServer({
      'GET /pictures': ({ url }) =>
        url.searchParams.has('after') ? page([picture('snow')]) : page([picture('hut')], 'hut'),
    });
    shown();
    await waitFor(() => expect(listed()).toEqual(['hut']));
    expect(screen.getAllByText(/in the library/).map((each) => each.textContent)).toEqual([
      '61 in the library, 2 without alternative text',
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Show more' }));
    await waitFor(() => expect(listed()).toEqual(['hut', 'snow']));
    expect(asked).toEqual(['GET /pictures?limit=60&only=all', 'GET /pictures?limit=60&only=all&after=hut']);
  });

  test('asks once for words that are typed, and by what is filtered', async () => {
    const asked = fakeServer({
      'GET /pictures': ({ url }) =>
        page(
          url.searchParams.get('search') === 'snow' ? [picture('snow')] : [picture('hut'), picture('snow')],
        ),
    });
    shown();
    await waitFor(() => expect(listed()).toEqual(['hut', 'snow']));
    const field = screen.getByRole('searchbox', { name: 'Find pictures' });
    for (const words of ['s', 'sn', 'snow']) fireEvent.change(field, { target: { value: words } });
    await waitFor(() => expect(listed()).toEqual(['snow']));
    fireEvent.click(screen.getByRole('radio', { name: 'Unused' }));
    await waitFor(() => expect(asked.at(-1)).toBe('GET /pictures?limit=60&only=unused&search=snow'));
    expect(asked.filter((each) => each.includes('search=s'))).toEqual([
      'GET /pictures?limit=60&only=all&search=snow',
      'GET /pictures?limit=60&only=unused&search=snow',
    ]);
  });

  test('that finds nothing says so, and one without pictures says what to do', async () => {
    fakeServer({ 'GET /pictures': () => page([]) });
    shown();
    await screen.findByText('No pictures yet. Drop pictures or a ZIP here, or paste one.');
    fireEvent.change(screen.getByRole('searchbox', { name: 'Find pictures' }), { target: { value: 'bear' } });
    await screen.findByText('No picture matches.');
  });

  test('that can’t be asked says why', async () => {
    fakeServer({ 'GET /pictures': () => refused(503, 'The database does not answer.') });
    shown();
    expect((await screen.findByRole('alert')).textContent).toBe('The database does not answer.');
  });
});

describe('one picture', () => {
  /** Opens the details of a picture that some tiles show. */
  async function details(uses: readonly object[], own: Readonly<Record<string, () => unknown>> = {}) {
    let all = [picture('hut', { uses: uses.length }), picture('snow')];
    const asked = fakeServer({
      'GET /pictures': () => page(all),
      'GET /pictures/hut/uses': () => uses,
      'DELETE /pictures/hut': () => {
        all = all.slice(1);
        return {};
      },
      ...own,
    });
    shown();
    await waitFor(() => expect(listed()).toHaveLength(2));
    fireEvent.click(within(document.querySelector('main li') as HTMLElement).getByRole('button'));
    const panel = await screen.findByRole('complementary', { name: 'Picture' });
    return { asked, panel };
  }

  test('that no tile shows is deleted at once', async () => {
    const { asked, panel } = await details([]);
    await within(panel).findByText('In no tile.');
    fireEvent.click(within(panel).getByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(listed()).toEqual(['snow']));
    expect(screen.queryByRole('complementary', { name: 'Picture' })).toBeNull();
    expect(asked).toContain('DELETE /pictures/hut');
  });

  test('that tiles show is deleted after it was said where', async () => {
    const { asked, panel } = await details([{ id: 'c', name: 'Beds', tiles: ['Opening', 'Night'] }]);
    expect((await within(panel).findByRole('link', { name: 'Beds' })).getAttribute('href')).toBe(
      '/collections/c/compose',
    );
    fireEvent.click(within(panel).getByRole('button', { name: 'Delete…' }));
    const question = await screen.findByRole('alertdialog');
    expect(question.textContent).toContain('It is shown in “Beds” (Opening, Night).');
    fireEvent.click(within(question).getByRole('button', { name: 'Cancel' }));
    expect(listed()).toEqual(['hut', 'snow']);
    fireEvent.click(within(panel).getByRole('button', { name: 'Delete…' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Delete anyway' }));
    await waitFor(() => expect(listed()).toEqual(['snow']));
    expect(asked).toContain('DELETE /pictures/hut?evenUsed=true');
  });

  test('that could not be deleted stays', async () => {
    const { panel } = await details([], {
      'DELETE /pictures/hut': () => refused(409, 'Somebody uses it by now.'),
    });
    await within(panel).findByText('In no tile.');
    fireEvent.click(within(panel).getByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(listed()).toEqual(['hut', 'snow']));
    expect(screen.getByRole('complementary', { name: 'Picture' })).toBe(panel);
  });
});
