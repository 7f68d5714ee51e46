/** @jest-environment jsdom */
import '../../testing/browser';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { composeStore, stats } from '../../testing/composeStore';
import { commandListToggled, keySheetToggled } from '../editorSlice';
import { CommandList } from './CommandList';
import { KeySheet } from './KeySheet';
import { COMMANDS } from './registry';

afterEach(cleanup);

const start = stats([
  [1, 1],
  [2, 1],
]);

describe('the list of commands', () => {
  function open(...selected: string[]) {
    const compose = composeStore(start);
    compose.take(...selected);
    compose.store.dispatch(commandListToggled(true));
    render(
      <Provider store={compose.store}>
        <CommandList />
      </Provider>,
    );
    const seek = (words: string) =>
      fireEvent.change(screen.getByRole('combobox'), { target: { value: words } });
    const listed = () => screen.queryAllByRole('option').map(({ textContent }) => textContent);
    return { ...compose, seek, listed };
  }

  test('has what makes sense now, with the keys that do the same', () => {
    const { listed } = open();
    expect(listed()).toContain('Select all tilesCtrl + A');
    expect(listed()).not.toContain('DuplicateCtrl + D');
    cleanup();
    expect(open('t1').listed()).toContain('DuplicateCtrl + D');
    expect(screen.queryByText('Unlink from the recipe')).toBeNull();
  });

  test('finds one by its words, runs it and closes', () => {
    const { seek, listed, document, steps, store } = open('t1');
    seek('duplic');
    expect(listed()).toEqual(['DuplicateCtrl + D']);
    fireEvent.keyDown(screen.getByRole('combobox'), { key: 'Enter' });
    expect(document().order).toHaveLength(3);
    expect(steps()).toEqual(['Duplicate']);
    expect(store.getState().editor.commandList).toBe(false);
  });

  test('adds any kind of tile, and arranges as any kind', () => {
    const { seek, listed, document } = open();
    seek('add a quote');
    expect(listed()).toEqual(['Add a quote tile']);
    fireEvent.click(screen.getByRole('option'));
    expect(document().order).toHaveLength(3);
    cleanup();
    const other = open();
    other.seek('arrange as masonry');
    fireEvent.click(screen.getAllByRole('option')[0] as HTMLElement);
    expect(other.document().arrangement.kind).toBe('masonry');
  });

  test('says so where no command matches', () => {
    const { seek, listed } = open();
    seek('make coffee');
    expect(listed()).toEqual([]);
    expect(screen.getByRole('dialog').textContent).toContain('No command matches.');
  });
});

describe('the sheet of keys', () => {
  function open() {
    const { store } = composeStore(start);
    store.dispatch(keySheetToggled(true));
    render(
      <Provider store={store}>
        <KeySheet />
      </Provider>,
    );
    const groups = () => screen.queryAllByRole('heading', { level: 3 }).map((each) => each.textContent);
    return { store, groups };
  }

  test('has every command with keys, in its group', () => {
    const { groups } = open();
    expect(groups()).toEqual([
      'Selection',
      'Place',
      'Tiles',
      'Groups and recipes',
      'Grid',
      'Width',
      'Show',
      'Everywhere',
    ]);
    const sheet = screen.getByRole('region', { name: 'All keys' });
    const withKeys = Object.values(COMMANDS).filter(({ keys, keysAs }) => keys ?? keysAs);
    for (const { words } of withKeys) expect(within(sheet).getAllByText(words)).not.toEqual([]);
  });

  test('finds by words and by key', () => {
    const { groups } = open();
    const seek = (value: string) =>
      fireEvent.change(screen.getByRole('searchbox', { name: 'Search keys' }), { target: { value } });
    seek('Ctrl + D');
    expect(groups()).toEqual(['Tiles']);
    seek('needle');
    expect(groups()).toEqual(['Width']);
    seek('coffee');
    expect(groups()).toEqual([]);
    expect(screen.getByRole('dialog').textContent).toContain('No key matches.');
  });
});
