import { expect, test } from '@jest/globals';
import nodes from 'lucide-static/icon-nodes.json';
import tags from 'lucide-static/tags.json';
import { foundIcons } from './foundIcons';

const ids = Object.keys(nodes);
const first = (search: string) => foundIcons(ids, tags, search)[0];

test.each([
  ['star', 'star'],
  ['Star ', 'star'],
  ['heart', 'heart'],
  ['house', 'house'],
  ['home', 'house'],
  ['mail', 'mail'],
  ['email', 'mail'],
  ['phone', 'phone'],
  ['snow', 'snowflake'],
  ['soup', 'soup'],
  ['map pin', 'map-pin'],
  ['arrow right', 'arrow-right'],
  ['sun', 'sun'],
])('“%s” finds %s first', (search, id) => {
  expect(first(search)).toBe(id);
});

test('nothing looked for is all; several words are all met; what nothing is called finds none', () => {
  expect(foundIcons(ids, tags, ' ')).toBe(ids);
  expect(foundIcons(['cup', 'cup-hot', 'hot'], {}, 'hot cup')).toEqual(['cup-hot']);
  expect(foundIcons(ids, tags, 'zzzz')).toEqual([]);
});
