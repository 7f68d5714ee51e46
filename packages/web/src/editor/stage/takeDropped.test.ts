/** @jest-environment jsdom */
import '../../testing/browser';
import { expect, test } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { composeStore, stats } from '../../testing/composeStore';
import { takeDropped } from './takeDropped';

/** A file as a browser gives it; jsdom’s can’t be read as bytes. */
const file = (name: string, text: string) =>
  ({
    name,
    type: '',
    arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer),
  }) as unknown as File;
const where = { onto: null, cell: null, bestFit: false };

test('a table that is dropped waits in its panel; of two the first is taken, and one that is none says so', async () => {
  const { store } = composeStore(stats([[1, 1]]));
  const notices = () => JSON.stringify(store.getState().notices);
  store.dispatch(takeDropped([file('huts.csv', 'a,b\n1,2\n'), file('more.tsv', 'a\n1\n')], where));
  await waitFor(() =>
    expect(store.getState().editor).toMatchObject({
      showing: 'table',
      arriving: { name: 'huts', table: { columns: ['a', 'b'] } },
    }),
  );
  expect(notices()).toContain('Drop one table at a time: “huts.csv” is taken.');
  store.dispatch(takeDropped([file('broken.json', '{')], where));
  await waitFor(() => expect(notices()).toContain('“broken.json” was not imported.'));
  expect(store.getState().editor.arriving?.name).toBe('huts');
});
