import { expect, test } from '@jest/globals';
import { distinctColours } from './distinctColours.js';

test('a colour that is near an earlier one is left out, and no more are kept than are asked for', () => {
  expect(distinctColours(['#24413f', '#254240', '#c7836b', '#24413f', '#ffffff'], 8)).toEqual([
    '#24413f',
    '#c7836b',
    '#ffffff',
  ]);
  expect(distinctColours(['#000000', '#ff0000', '#00ff00', '#0000ff'], 2)).toEqual(['#000000', '#ff0000']);
  expect(distinctColours([], 4)).toEqual([]);
});
