import { expect, test } from '@jest/globals';
import { fileId, newId, slugOf } from '../api/ids';
import { sameButPlace, sameTiles } from '../editor/settings/sameTiles';
import { shared } from '../editor/settings/shared';
import { stats } from '../testing/composeStore';
import { count, nth } from './words';

test('small numbers are words, one is one', () => {
  expect([0, 1, 12, 13].map((n) => count(n, 'tile'))).toEqual([
    'No tiles',
    'One tile',
    'Twelve tiles',
    '13 tiles',
  ]);
  expect(count(1, 'picture is', 'pictures are')).toBe('One picture is');
  expect([nth(7, 10), nth(14, 20)]).toEqual(['seventh of ten', '14th of 20']);
});

test('a name becomes an id of the file format that no other tab gives', () => {
  expect(slugOf('Größere Hütten, 2!', 'x')).toBe('grossere-hutten-2');
  expect(slugOf('Zürich – Älggi', 'x')).toBe('zurich-alggi');
  expect(slugOf('  3rd — Night ', 'x')).toBe('rd-night');
  expect(slugOf('雪', 'picture')).toBe('picture');
  expect(slugOf('a'.repeat(90), 'x')).toHaveLength(50);
  expect(newId('Moss', 'look')).toMatch(/^moss-[0-9a-f]{6}$/);
  expect(newId('Moss', 'look')).not.toBe(newId('Moss', 'look'));
  expect(fileId('Hut', 'picture', 'abcdef0123')).toBe('hut-abcdef01');
});

test('a value that tiles share is shown, else none', () => {
  expect(shared([2, 2, 2])).toBe(2);
  expect(shared([2, 3])).toBeNull();
  expect(shared([])).toBeNull();
});

test('tiles that were only moved look the same', () => {
  const { t1, t2 } = stats([
    [1, 1],
    [2, 1],
  ]).tiles;
  if (!t1 || !t2) throw new Error('two tiles');
  const moved = { ...t1, place: { ...t1.place, columnSpan: 3 } };
  expect(sameButPlace(t1, moved)).toBe(true);
  expect(sameButPlace(t1, { ...moved, name: 'Another' })).toBe(false);
  expect(sameButPlace(t1, { ...t1, link: '/huts' })).toBe(false);
  expect(sameTiles({ tiles: [t1, t2] }, { tiles: [moved, t2] })).toBe(true);
  expect(sameTiles({ tiles: [t1, t2] }, { tiles: [t1] })).toBe(false);
});
