import { describe, expect, test } from '@jest/globals';
import { asManyAs, everyPage, withBeginning, withNext, type Page } from './pages';

const page = (ids: string, next: string | null = null): Page<string> => ({
  entries: ids.split(''),
  next,
});
const idOf = (id: string) => id;

describe('a list that is shown by pages', () => {
  test('goes on with its next page; what moved up meanwhile comes once', () => {
    expect(withNext(page('abc', 'after c'), page('cde', 'after e'), idOf)).toEqual(page('abcde', 'after e'));
  });

  test('that is read anew keeps what was shown, with what is new on top', () => {
    const shown = page('abcdef', 'after f');
    expect(withBeginning(shown, page('xabc', 'after c'), idOf)).toEqual(page('xabcdef', 'after f'));
    expect(withBeginning(shown, page('acd', 'after d'), idOf)).toEqual(page('acdef', 'after f'));
    // What was deleted at the end of a list that is read as a whole is gone.
    expect(withBeginning(shown, page('abde'), idOf)).toEqual(page('abde'));
    expect(withBeginning(null, page('ab', 'after b'), idOf)).toEqual(page('ab', 'after b'));
    expect([asManyAs(0, 24), asManyAs(90, 24), asManyAs(900, 24)]).toEqual([24, 90, 200]);
  });

  test('comes as a whole where all of it is needed', async () => {
    const pages: Record<string, Page<string>> = { '': page('ab', '1'), 1: page('cd', '2'), 2: page('e') };
    expect(await everyPage((after) => Promise.resolve(pages[after ?? ''] as Page<string>))).toEqual(
      page('abcde').entries,
    );
  });
});
