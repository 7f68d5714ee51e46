import { afterEach, expect, jest, test } from '@jest/globals';

/** A page whose tab showed another page before, which holds its lock for as long as it likes. */
async function pageAfter(before: string, kind: 'navigate' | 'reload') {
  const memory = new Map([['noria-tab', before]]);
  const held = [{ name: `noria-tab:${before}` }, { name: 'noria-tab:beside' }];
  const locks = {
    request: (name: string, options: unknown) =>
      name === `noria-tab:${before}` && typeof options === 'object'
        ? Promise.reject(new DOMException('It took too long.', 'TimeoutError'))
        : new Promise(() => undefined),
    query: () => Promise.resolve({ held }),
  };
  const here = {
    navigator: { locks },
    sessionStorage: {
      getItem: (key: string) => memory.get(key) ?? null,
      setItem: (key: string, value: string) => void memory.set(key, value),
    },
  };
  for (const [name, value] of Object.entries(here))
    Object.defineProperty(globalThis, name, { value, configurable: true });
  jest.spyOn(performance, 'getEntriesByType').mockReturnValue([{ type: kind }] as never);
  jest.resetModules();
  return import('./tab');
}

const { navigator } = globalThis;
afterEach(() => {
  Object.defineProperty(globalThis, 'navigator', { value: navigator, configurable: true });
  jest.restoreAllMocks();
});

test('a page that was loaded again is gone, however late it lets go of its lock', async () => {
  const { goneOf } = await pageAfter('before', 'reload');
  expect([...(await goneOf(['before', 'beside', 'closed']))].sort()).toEqual(['before', 'closed']);
});

test('a page that is followed by another in its tab is there until it lets go', async () => {
  const { goneOf } = await pageAfter('before', 'navigate');
  expect([...(await goneOf(['before', 'beside', 'closed']))]).toEqual(['closed']);
});
