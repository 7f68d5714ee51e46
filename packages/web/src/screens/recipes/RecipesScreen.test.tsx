/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, expect, test } from '@jest/globals';
import { addFromRecipe, change, STARTERS, starterAssets, type CollectionDocument } from '@noria/core';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { makeStore } from '../../app/store';
import { stats } from '../../testing/composeStore';
import { fakeServer, refused } from '../../testing/fakeServer';
import { RecipesScreen } from './RecipesScreen';

afterEach(cleanup);

function shown() {
  render(
    <Provider store={makeStore()}>
      <MemoryRouter initialEntries={['/recipes']}>
        <RecipesScreen />
      </MemoryRouter>
    </Provider>,
  );
}

/** A collection that uses a starter, as the server has it. */
function using(id: string, name: string, recipe: string, look: Partial<CollectionDocument['look']> = {}) {
  const starter = STARTERS.find((each) => each.name === recipe);
  if (!starter) throw new RangeError(`No starter is called “${recipe}”.`);
  const use = { recipe: starter, variant: null, assets: starterAssets, position: 0 };
  const { document } = change(
    stats([[1, 1]]),
    addFromRecipe({ ...use, freshId: (tile) => `${tile.id}-${id}` }),
  );
  return {
    id,
    name,
    revision: 1,
    updatedAt: '',
    document: { ...document, name, look: { ...document.look, ...look } },
  };
}
const cards = (heading: string) =>
  within(
    screen.getByRole('heading', { level: 2, name: heading }).nextElementSibling as HTMLElement,
  ).getAllByRole('heading', { level: 3 });

test('recipes that are alike in several collections are one, with where each is used', async () => {
  fakeServer({
    'GET /recipes': () => [
      using('a', 'Winter', 'Big figure'),
      using('b', 'Summer', 'Big figure'),
      using('c', 'Night', 'Big figure', { background: '#101010' }),
    ],
  });
  shown();
  await screen.findByRole('heading', { level: 2, name: 'In your collections' });
  // The third lies on another background, so it looks otherwise.
  expect(cards('In your collections').map(({ textContent }) => textContent)).toEqual([
    'Big figure',
    'Big figure',
  ]);
  const links = screen.getAllByRole('list', { name: 'Collections that use Big figure' }).map((list) =>
    within(list)
      .getAllByRole('link')
      .map((link) => link.textContent),
  );
  expect(links).toEqual([['Winter, one use', 'Summer, one use'], ['Night, one use']]);
});

test('a starter that a collection has is not shown twice, the others are', async () => {
  fakeServer({ 'GET /recipes': () => [using('a', 'Winter', 'Big figure')] });
  shown();
  await screen.findByRole('heading', { level: 2, name: 'In your collections' });
  const names = cards('Starters').map(({ textContent }) => textContent);
  expect(names).not.toContain('Big figure');
  expect(names).toHaveLength(STARTERS.length - 1);
});

test('a variant is shown when it is pressed', async () => {
  fakeServer({ 'GET /recipes': () => [] });
  shown();
  const [first] = await screen.findAllByRole('group', { name: /^Variants of / });
  const variants = within(first as HTMLElement).getAllByRole('button');
  const pressed = () => variants.map((button) => button.getAttribute('aria-pressed'));
  expect(pressed()[0]).toBe('true');
  fireEvent.click(variants[1] as HTMLElement);
  expect(pressed().slice(0, 2)).toEqual(['false', 'true']);
});

test('a server that refuses says why, and the starters are there all the same', async () => {
  fakeServer({ 'GET /recipes': () => refused(500, 'The list could not be read.') });
  shown();
  expect((await screen.findByRole('alert')).textContent).toBe('The list could not be read.');
  expect(cards('Starters')).toHaveLength(STARTERS.length);
});
