/** @jest-environment jsdom */
import '../../testing/browser';
import '../../testing/engineHere';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { composeStore, stats } from '../../testing/composeStore';
import { ExportScreen } from './ExportScreen';

afterEach(cleanup);

const later = { timeout: 20_000 };

async function open() {
  const compose = composeStore(stats([[2, 1]]));
  render(
    <Provider store={compose.store}>
      <MemoryRouter initialEntries={['/collections/c/export']}>
        <ExportScreen />
      </MemoryRouter>
    </Provider>,
  );
  await screen.findByText(/^HTML and CSS,/, {}, later);
  const files = within(screen.getByRole('complementary', { name: 'Files' }));
  return { ...compose, files, text: () => document.querySelector('pre')?.textContent ?? '' };
}

/** Chooses a form in the list of them. */
function choose(form: string) {
  fireEvent.keyDown(screen.getByRole('combobox', { name: 'Form' }), { key: 'Enter' });
  fireEvent.keyDown(screen.getByRole('option', { name: form }), { key: 'Enter' });
}

describe('the files of a page', () => {
  test('are listed with their sizes, and each can be read', async () => {
    const { files, text } = await open();
    const names = files.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(names).toEqual([
      expect.stringMatching(/^index\.html[\d.]+ kB$/),
      expect.stringMatching(/^style\.css[\d.]+ kB$/),
      expect.stringMatching(/^beds\.noria\.json[\d.]+ kB$/),
    ]);
    expect(text()).toMatch(/^<!doctype html>/);
    fireEvent.click(files.getByRole('button', { name: /^style\.css/ }));
    expect(text()).toContain('display: grid');
    fireEvent.click(files.getByRole('button', { name: /^beds\.noria\.json/ }));
    expect(JSON.parse(text())).toMatchObject({ name: 'Beds', formatVersion: 3 });
  });

  test('are written anew when breakpoints measure the viewport', async () => {
    const { files, text, document: collection, steps } = await open();
    fireEvent.click(files.getByRole('radio', { name: 'Viewport' }));
    expect([collection().queries, steps()]).toEqual(['media', ['Queries']]);
    expect(
      files.getAllByText(/the page fills the window|follows its container|queries/i)[0]?.textContent,
    ).toContain('Media queries: the page fills the window.');
    await waitFor(() => expect(text()).toMatch(/^<!doctype html>/), later);
  });

  test('are those of the form: a fragment has an element and a style sheet of its own', async () => {
    const { files, text } = await open();
    choose('Fragment');
    await waitFor(() => expect(text()).toMatch(/^<div id="beds">/), later);
    const names = files.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(names).toEqual([
      expect.stringMatching(/^beds\.html/),
      expect.stringMatching(/^beds\.css/),
      expect.stringMatching(/^beds\.noria\.json/),
    ]);
    // What a fragment measures is not asked, and it has no head.
    expect(files.queryByRole('radio', { name: 'Viewport' })).toBeNull();
    expect(
      files.getByRole<HTMLButtonElement>('button', { name: 'Download the fragment as ZIP' }).disabled,
    ).toBe(false);
    choose('Page');
    await waitFor(() => expect(text()).toMatch(/^<!doctype html>/), later);
  });

  test.each([
    ['Grid only', /^:has\(> \.beds\)/, ['beds.css', 'beds.html'], 'Download the grid as ZIP'],
    [
      'Custom element',
      /^\/\/ “Beds” as <beds-grid>/,
      ['beds-grid.js', 'beds-grid.html'],
      'Download the element as ZIP',
    ],
    ['Tiles as CSV', /^Name,Kind,/, ['beds.csv'], 'Download the table'],
    ['Tiles as JSON', /^\{\n {2}"name": "Beds"/, ['beds.json'], 'Download the data'],
    ['Design tokens', /^\{\}/, ['beds.tokens.json'], 'Download the tokens'],
  ])('are those of “%s”', async (form, begin, names, button) => {
    const { files, text } = await open();
    choose(form);
    await waitFor(() => expect(text()).toMatch(begin), later);
    const listed = files.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(listed).toEqual([...names, 'beds.noria.json'].map((name) => expect.stringContaining(name)));
    expect(files.getByRole<HTMLButtonElement>('button', { name: button }).disabled).toBe(false);
    // It is remembered, and others are not meant to follow it.
    choose('Page');
    await waitFor(() => expect(text()).toMatch(/^<!doctype html>/), later);
  });

  test('of a grid find its items by their classes or by their order', async () => {
    const { files, text } = await open();
    choose('Grid only');
    await waitFor(() => expect(text()).toMatch(/^:has/), later);
    expect(text()).toContain('.beds .');
    fireEvent.click(files.getByRole('radio', { name: 'Order' }));
    await waitFor(() => expect(text()).toContain('.beds > :nth-child(1)'), later);
    choose('Page');
    await waitFor(() => expect(text()).toMatch(/^<!doctype html>/), later);
  });

  test('are copied, or it is said how to copy them by hand', async () => {
    const { said, warned, text } = await open();
    const writeText = jest.fn<(words: string) => Promise<void>>().mockResolvedValueOnce();
    Object.assign(navigator, { clipboard: { writeText } });
    fireEvent.click(screen.getByRole('button', { name: 'Copy' }));
    await waitFor(() => expect(said()).toBe('index.html was copied.'));
    expect(writeText).toHaveBeenCalledWith(text());
    writeText.mockRejectedValueOnce(new Error('not allowed'));
    fireEvent.click(screen.getByRole('button', { name: 'Copy' }));
    await waitFor(() => expect(warned()).toContain('Select the text and copy it by hand.'));
  });
});
