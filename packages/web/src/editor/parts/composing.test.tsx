/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, describe, expect, test } from '@jest/globals';
import { partsOf, type CollectionDocument, type Tile } from '@noria/core';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { useAppSelector } from '../hooks';
import { selectSelected } from '../selectors';
import { TileContent } from '../settings/TileContent';

afterEach(cleanup);

/** The content of the selected tiles, as the settings show it. */
function Content() {
  const [tile, ...others] = useAppSelector(selectSelected);
  return tile ? <TileContent tiles={[tile, ...others]} /> : null;
}

async function open(...ids: string[]) {
  const compose = composeStore(
    stats([
      [1, 1],
      [1, 1],
    ]),
  );
  compose.take(...(ids.length > 0 ? ids : ['t1']));
  render(
    <Provider store={compose.store}>
      <Content />
    </Provider>,
  );
  await screen.findByRole('button', { name: 'Add part' });
  return compose;
}
const said = (document: CollectionDocument, id = 't1') =>
  partsOf(document.tiles[id] as Tile).map(({ kind, hidden, beside, align }) =>
    [kind, hidden && 'hidden', beside && 'beside', align].filter(Boolean).join(' '),
  );
/** Opens a menu by its button, and chooses from it. */
async function choose(button: string, item: string | RegExp) {
  fireEvent.keyDown(await screen.findByRole('button', { name: button }), { key: 'Enter' });
  const menu = await screen.findByRole('menu');
  await act(async () => {
    fireEvent.click(
      within(menu).getByRole(
        String(item).includes('line')
          ? 'menuitemcheckbox'
          : String(item).includes('Centre')
            ? 'menuitemradio'
            : 'menuitem',
        { name: item },
      ),
    );
    await Promise.resolve();
  });
}

describe('the parts of a card', () => {
  test('are added, moved, repeated, put in a line, aligned, hidden, shown and removed, a step each', async () => {
    const { document, steps } = await open();
    await choose('Add part', /^Heading/);
    expect(said(document())).toEqual(['figure', 'label', 'heading']);
    await choose('Heading: more', 'Move up');
    await choose('Label: more', 'Repeat');
    expect(said(document())).toEqual(['figure', 'heading', 'label', 'label']);
    await choose('Heading: more', 'In line with the part before');
    await choose('Heading: more', 'Centre');
    await choose('Figure: more', 'Hide');
    expect(said(document())).toEqual(['figure hidden', 'heading beside center', 'label', 'label']);
    fireEvent.click(screen.getByRole('button', { name: 'Show figure' }));
    await choose('Heading: more', 'Remove');
    expect(said(document())).toEqual(['figure', 'label', 'label']);
    expect(steps()).toEqual([
      'Add part',
      'Move part',
      'Repeat part',
      'In line',
      'Alignment of the part',
      'Hide part',
      'Show part',
      'Remove part',
    ]);
  });

  test('at an end can’t be moved further, and the first has nothing to stand beside', async () => {
    await open();
    fireEvent.keyDown(await screen.findByRole('button', { name: 'Figure: more' }), { key: 'Enter' });
    const menu = await screen.findByRole('menu');
    const isOff = (role: string, name: string) =>
      within(menu).getByRole(role, { name }).getAttribute('aria-disabled');
    expect(isOff('menuitem', 'Move up')).toBe('true');
    expect(isOff('menuitem', 'Move down')).toBeNull();
    expect(isOff('menuitemcheckbox', 'In line with the part before')).toBe('true');
  });

  test('are set for all selected cards that have them', async () => {
    const { document, steps } = await open('t1', 't2');
    await choose('Label: more', 'Hide');
    await choose('Add part', /^Divider/);
    for (const id of ['t1', 't2'])
      expect(said(document(), id)).toEqual(['figure', 'label hidden', 'divider']);
    expect(steps()).toEqual(['Hide part', 'Add part']);
  });
});
