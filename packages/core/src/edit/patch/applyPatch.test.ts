import { describe, expect, test } from '@jest/globals';
import { applyPatch, PatchError } from './applyPatch.js';
import { sample } from '../../testing/sample.js';
import type { JsonPatch } from './types.js';

const document = sample([
  [2, 2],
  [1, 1],
]);

describe('applyPatch', () => {
  test('keeps what it does not touch as it is', () => {
    const patched = applyPatch(document, [{ op: 'add', path: '/tiles/t1/name', value: 'Beds' }]);
    expect(patched.tiles.t1?.name).toBe('Beds');
    expect(patched.tiles.t2).toBe(document.tiles.t2);
    expect(document.tiles.t1).not.toHaveProperty('name');
  });

  test.each([
    [
      [{ op: 'replace', path: '/tiles/t9/name', value: 'x' }],
      'Operation 1 of the patch (replace /tiles/t9/name): there is nothing at this path.',
    ],
    [
      [
        { op: 'test', path: '/name', value: 'Sample' },
        { op: 'remove', path: '/nothing' },
      ],
      'Operation 2 of the patch (remove /nothing): there is nothing at this path.',
    ],
    [[{ op: 'test', path: '/name', value: 'Other' }], 'the value there is another.'],
    [[{ op: 'add', path: '/order/9', value: 't1' }], 'the position is beyond the end of the list'],
    [[{ op: 'add', path: '/order/last', value: 't1' }], 'a list takes a position as a whole number'],
    [[{ op: 'paint', path: '/name' }], '“op” is one of add'],
    [[{ op: 'replace', path: '/name' }], 'it needs a “value”'],
    [[{ op: 'replace', path: 'name', value: 'x' }], 'starts with “/”'],
    [[{ op: 'replace', path: '', value: {} }], 'a path is text'],
    [[{ op: 'add', path: '/__proto__/polluted', value: true }], 'can’t be applied here'],
    [[{ op: 'move', from: '', path: '/name' }], 'can’t be applied here'],
    [[{ op: 'move', from: '/tiles', path: '/tiles/t1' }], 'can’t be applied here'],
    [[null], 'a path is text'],
  ])('%j says what is wrong', (patch, message) => {
    const apply = () => applyPatch(document, patch as unknown as JsonPatch);
    expect(apply).toThrow(PatchError);
    expect(apply).toThrow(message);
    expect('polluted' in {}).toBe(false);
  });
});
