/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { fakeServer } from '../../testing/fakeServer';
import { TablePanel } from './TablePanel';

afterEach(cleanup);

const HUTS = 'Hut,Beds,Height\nSnow,12,2100\nLarch,8,1850\nTower,20,2710\n';

/** A file as a browser gives it; jsdom’s can’t be read as bytes. */
const file = (name: string, text: string) => ({
  name,
  arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer),
});

function open() {
  fakeServer({ 'GET /pictures': () => ({ entries: [], next: null, total: 0, silent: 0 }) });
  const compose = composeStore(stats([[1, 1]]));
  render(
    <Provider store={compose.store}>
      <TablePanel />
    </Provider>,
  );
  const give = (testId: string, name: string, text: string) =>
    fireEvent.change(screen.getByTestId(testId), { target: { files: [file(name, text)] } });
  /** The first words of every tile that a row is. */
  const said = () => {
    const { order, tiles } = compose.document();
    return order.slice(1).map((id) => {
      const tile = tiles[id];
      const parts = tile?.kind === 'card' ? tile.parts : [];
      return parts
        .flatMap((part) => ('words' in part && typeof part.words === 'string' ? part.words : []))
        .join('|');
    });
  };
  return { ...compose, give, said };
}

/** Chooses an entry of a list that opens. */
async function choose(list: string, entry: string) {
  fireEvent.keyDown(screen.getByRole('combobox', { name: list }), { key: 'Enter' });
  fireEvent.click(await screen.findByRole('option', { name: entry }));
}

async function imported() {
  const panel = open();
  panel.give('table-file', 'huts.csv', HUTS);
  await screen.findByText('huts: 3 rows');
  await choose('Recipe of the rows', 'Big figure');
  await choose('Column for Figure', 'Beds');
  await choose('Column for Label', 'Hut');
  fireEvent.click(screen.getByRole('button', { name: 'Make 3 tiles' }));
  await waitFor(() => expect(panel.said()).toHaveLength(3));
  return panel;
}

describe('tiles from a table', () => {
  test('are made with a recipe, as one step, from the columns that are chosen', async () => {
    const { said, steps } = await imported();
    expect(said()).toEqual(['12|Snow', '8|Larch', '20|Tower']);
    expect(steps()).toEqual(['Tiles from a table']);
    expect(screen.queryByText('huts: 3 rows')).toBeNull();
  });

  test('follow the table: sorted, filtered, and back', async () => {
    const { said, steps } = await imported();
    await choose('Sort by', 'Hut');
    expect(said()).toEqual(['8|Larch', '12|Snow', '20|Tower']);
    fireEvent.click(screen.getByRole('radio', { name: 'Down' }));
    expect(said()).toEqual(['20|Tower', '12|Snow', '8|Larch']);
    await choose('Sort by', 'as in the file');
    expect(said()).toEqual(['12|Snow', '8|Larch', '20|Tower']);
    fireEvent.change(screen.getByRole('textbox', { name: 'Words to filter by' }), { target: { value: 'o' } });
    expect(said()).toEqual(['12|Snow', '20|Tower']);
    expect(screen.getAllByText(/left out by the filter/).map((each) => each.textContent)).toEqual([
      '3, 1 left out by the filter',
    ]);
    fireEvent.change(screen.getByRole('textbox', { name: 'Words to filter by' }), { target: { value: '' } });
    expect(said()).toHaveLength(3);
    expect(steps().slice(1)).toEqual(['Sort', 'Sort', 'Sort']);
  });

  test('are brought up to the file when it comes again, and what became of each is said', async () => {
    const { give, said } = await imported();
    give('table-again', 'huts.csv', 'Hut,Beds,Height\nSnow,14,2100\nTower,20,2710\nMoss,6,1500\n');
    const report = await screen.findByText(/^Changed \(1\)/);
    expect(report.closest('dl')?.textContent).toBe('Changed (1): SnowAdded (1): MossRemoved (1): Larch');
    expect(said().toSorted()).toEqual(['14|Snow', '20|Tower', '6|Moss']);
  });

  test('stay when their rows are missing, where one says so, and when the table is unlinked', async () => {
    const { give, said, document } = await imported();
    fireEvent.click(screen.getByRole('radio', { name: 'Keep tiles' }));
    give('table-again', 'huts.csv', 'Hut,Beds\nSnow,12\n');
    await screen.findByRole('status');
    expect(said()).toHaveLength(3);
    fireEvent.click(screen.getByRole('button', { name: 'Unlink table' }));
    expect(Object.keys(document().tables ?? {})).toEqual([]);
    expect(said()).toHaveLength(3);
  });

  test('are not made when one cancels; a file that is no table is refused in words', async () => {
    const { give, warned, document } = open();
    give('table-file', 'huts.csv', HUTS);
    await screen.findByText('huts: 3 rows');
    fireEvent.click(
      within(screen.getByText('huts: 3 rows').parentElement as HTMLElement).getByRole('button', {
        name: 'Cancel',
      }),
    );
    expect(screen.queryByText('huts: 3 rows')).toBeNull();
    give('table-file', 'huts.json', '{"not": "a table"');
    await waitFor(() => expect(warned()).toMatch(/“huts\.json” was not imported\./));
    expect(document().order).toHaveLength(1);
  });

  test('have numbers in the format that is chosen by what becomes of the first', async () => {
    const panel = open();
    panel.give('table-file', 'huts.csv', HUTS);
    await screen.findByText('huts: 3 rows');
    await choose('Recipe of the rows', 'Big figure');
    await choose('Column for Label', 'Hut');
    // Mere words have none.
    expect(screen.queryByRole('combobox', { name: 'Format of Label' })).toBeNull();
    await choose('Column for Figure', 'Height');
    await choose('Format of Figure', '2,100');
    fireEvent.click(screen.getByRole('button', { name: 'Make 3 tiles' }));
    await waitFor(() => expect(panel.said()).toEqual(['2,100|Snow', '1,850|Larch', '2,710|Tower']));
  });

  test('whose pictures are in no library are made all the same, and what is missing is said', async () => {
    const panel = open();
    panel.give('table-file', 'huts.csv', 'Hut,Photo\nSnow,https://example.org/a/snow.jpg\nLarch,larch.png\n');
    await screen.findByText('huts: 2 rows');
    await choose('Recipe of the rows', 'Picture card');
    await choose('Column for Picture', 'Photo');
    fireEvent.click(screen.getByRole('button', { name: 'Make 2 tiles' }));
    await waitFor(() => expect(panel.document().order).toHaveLength(3));
    await waitFor(() =>
      expect(panel.store.getState().notices.warning).toMatch(
        /^Not found in the library: https:\/\/example\.org\/a\/snow\.jpg, larch\.png\. Their slots stay empty/,
      ),
    );
  });
});

test('a table takes the recipe that has a place for its columns', async () => {
  const panel = open();
  panel.give('table-file', 'walls.csv', 'no,quote,source\n1,Warm,Ada\n2,Dry,Ben\n');
  await screen.findByText('walls: 2 rows');
  expect(screen.getByRole('combobox', { name: 'Recipe of the rows' }).textContent).toContain('Voice');
  fireEvent.click(screen.getByRole('button', { name: 'Make 2 tiles' }));
  await waitFor(() => expect(panel.said()).toEqual(['Warm|Ada', 'Dry|Ben']));
});
