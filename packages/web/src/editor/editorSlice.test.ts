import { expect, test } from '@jest/globals';
import { LIMITS } from '@noria/core';
import {
  editorSlice,
  croppingChosen,
  entered,
  needleMoved,
  shown,
  tilesSelected,
  toggled,
  toolChosen,
} from './editorSlice';

const { reducer } = editorSlice;
type Act = Parameters<typeof reducer>[1];
const after = (...acts: Act[]) => acts.reduce(reducer, reducer(undefined, { type: 'start' }));

test('the needle stands on a whole px of the axis', () => {
  expect(after(needleMoved(700.6)).needle).toBe(701);
  expect(after(needleMoved(3)).needle).toBe(LIMITS.narrowest);
  expect(after(needleMoved(99_999)).needle).toBe(LIMITS.widest);
});

test('a tile is added to the selected ones, and let go by the same', () => {
  expect(after(tilesSelected(['a']), toggled('b')).selected).toEqual(['a', 'b']);
  expect(after(tilesSelected(['a']), toggled('b'), toggled('a')).selected).toEqual(['b']);
});

test('groups are entered one in another, and left for any of them', () => {
  const inside = after(entered('a'), entered('b'), entered('c'));
  expect(inside.trail).toEqual(['a', 'b', 'c']);
  expect(reducer(inside, entered('b')).trail).toEqual(['a', 'b']);
  expect(reducer(inside, entered(null)).trail).toEqual([]);
});

test('who enters a group lets go, and closes what stood in place of the settings', () => {
  expect(after(tilesSelected(['a']), shown('gaps'), entered('a'))).toMatchObject({
    selected: [],
    showing: null,
  });
});

test('another tool lets go, another tile ends moving a picture in its slot', () => {
  expect(after(tilesSelected(['a']), toolChosen('areas')).selected).toEqual([]);
  expect(after(tilesSelected(['a']), croppingChosen(true), tilesSelected(['b'])).cropping).toBe(false);
});
