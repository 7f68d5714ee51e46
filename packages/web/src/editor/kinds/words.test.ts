import { describe, expect, test } from '@jest/globals';
import { arrangementWords } from './words';

describe('what an arrangement is called', () => {
  test.each([
    ['bento', 4, 'four columns'],
    ['fluid', 1, 'fluid, one column'],
    ['masonry', 5, 'masonry, five lanes'],
    ['mosaic', 14, 'mosaic, 14 modules'],
    ['rows', 1, 'rows'],
    ['fan', 6, 'fan'],
  ] as const)('%s of %d', (kind, columns, words) => {
    expect(arrangementWords(kind, columns)).toBe(words);
  });
});
