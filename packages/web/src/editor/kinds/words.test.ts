import { describe, expect, test } from '@jest/globals';
import { addBreakpoint, change, setArrangement } from '@noria/core';
import { stats } from '../../testing/composeStore';
import { arrangedWords, arrangementWords } from './words';

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

describe('what a collection is arranged as', () => {
  const one = stats([[1, 1]], { columns: ['1fr'] });
  test('one column is one, several counts are listed with no comma before the last', () => {
    expect(arrangedWords(one)).toBe('bento of 1 column');
    expect(arrangedWords(stats([[1, 1]]))).toBe('bento of 4 columns');
    const two = change(stats([[1, 1]]), addBreakpoint('narrow', 800)).document;
    const three = change(two, addBreakpoint('narrowest', 400)).document;
    const all = change(three, setArrangement({ columns: ['1fr', '1fr'] }, 1, 'band')).document;
    const said = arrangedWords(change(all, setArrangement({ columns: ['1fr'] }, 2, 'band')).document);
    expect(said).toBe('bento of 4, 2 and 1 columns');
  });
});
