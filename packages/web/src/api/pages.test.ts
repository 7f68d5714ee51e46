import { describe, expect, test } from '@jest/globals';
import { entriesOf, everyPage, type Page } from './pages';

const page = (ids: string, next: string | null = null): Page<string> => ({
  entries: ids.split(''),
  next,
});
const idOf = (id: string) => id;

describe('a list that is shown by pages', () => {
  test('is its pages one after the other; what moved meanwhile comes once', () => {
    expect(entriesOf([page('abc', 'after c'), page('cde', 'after e')], idOf)).toEqual(page('abcde').entries);
    expect(entriesOf([], idOf)).toEqual([]);
  });

  test('comes as a whole where all of it is needed', async () => {
    const pages: Record<string, Page<string>> = { '': page('ab', '1'), 1: page('cd', '2'), 2: page('e') };
    expect(await everyPage((after) => Promise.resolve(pages[after ?? ''] as Page<string>))).toEqual(
      page('abcde').entries,
    );
  });
});
