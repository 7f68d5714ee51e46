const lockOf = (tab: string) => `noria-tab:${tab}`;
const REMEMBERED = 'noria-tab';
/** How long the page before this one, in the same tab, may take to let go of its lock, ms. */
const PATIENCE = 1500;

/** This page, as long as it is open: a reload is another one. */
export const thisTab: string = crypto.randomUUID();

let before: string | null = null;

/** Holds the lock that tells other tabs that this one is there. The browser lets go of it when it closes. */
function stay(): void {
  try {
    before = sessionStorage.getItem(REMEMBERED);
    sessionStorage.setItem(REMEMBERED, thisTab);
  } catch {
    // No memory of the page before: it counts as gone once its lock is free.
  }
  if (hasLocks()) void navigator.locks.request(lockOf(thisTab), () => new Promise(() => undefined));
}

const hasLocks = () => 'locks' in globalThis.navigator;
if (typeof navigator !== 'undefined') stay();

/** Which of these tabs are gone, so that what they left is for others to send. */
export async function goneOf(tabs: readonly string[]): Promise<Set<string>> {
  const others = new Set(tabs.filter((tab) => tab !== thisTab));
  if (others.size === 0 || typeof navigator === 'undefined' || !hasLocks()) return others;
  if (before !== null && others.has(before) && !wasReloaded()) {
    // A page that is being left lets go a moment after the next one has come.
    const patience = { signal: AbortSignal.timeout(PATIENCE) };
    await navigator.locks.request(lockOf(before), patience, () => undefined).catch(() => undefined);
  }
  const { held = [] } = await navigator.locks.query();
  const there = new Set(held.map(({ name }) => name));
  const isGone = (tab: string) => !there.has(lockOf(tab)) || (tab === before && wasReloaded());
  return new Set([...others].filter(isGone));
}

/** A page that was loaded again has taken the place of the one before, even while that one’s lock is not free yet. */
function wasReloaded(): boolean {
  const [how] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  return how?.type === 'reload';
}

/** Does work that only one tab may do at a time. */
export async function alone<Result>(name: string, work: () => Promise<Result>): Promise<Result> {
  if (typeof navigator === 'undefined' || !hasLocks()) return work();
  // Written as a variable: the browser's types say that the lock's answer may be lost.
  let result: { readonly value: Result } | null = null;
  await navigator.locks.request(name, async () => {
    result = { value: await work() };
  });
  return (result as unknown as { readonly value: Result }).value;
}
