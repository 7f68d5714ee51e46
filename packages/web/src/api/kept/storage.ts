import { del, get, keys, set } from 'idb-keyval';

/**
 * What is kept in this browser under a key. IndexedDB holds it, however large; where there is none (in
 * private windows of some browsers), the small synchronous store does what it can.
 */
const PLAIN = 'noria:';

let failed = false;

/** Whether nothing outlives this tab here, so that work must be saved or taken away before it is closed. */
export const keepsNothing = () => failed && !plainWorks();

function plainWorks(): boolean {
  try {
    localStorage.setItem(`${PLAIN}trial`, '1');
    localStorage.removeItem(`${PLAIN}trial`);
    return true;
  } catch {
    return false;
  }
}

/** @throws Error when it can be kept nowhere */
export async function keep(key: string, value: unknown): Promise<void> {
  try {
    await set(key, value);
  } catch {
    failed = true;
    localStorage.setItem(PLAIN + key, JSON.stringify(value));
  }
}

export async function read<Value>(key: string): Promise<Value | undefined> {
  const stored = await tried(() => get<Value>(key));
  if (stored !== undefined) return stored;
  return (readPlain(PLAIN + key) ?? undefined) as Value | undefined;
}

export async function drop(key: string): Promise<void> {
  await tried(() => del(key));
  dropPlain(PLAIN + key);
}

/** Where there is no IndexedDB at all, asking for it throws at once. */
async function tried<Result>(ask: () => Promise<Result>): Promise<Result | undefined> {
  try {
    return await ask();
  } catch {
    return undefined;
  }
}

/** All keys that begin with some letters. */
export async function keysFrom(prefix: string): Promise<string[]> {
  const stored = (await tried(() => keys<string>())) ?? [];
  const plain = plainKeys(PLAIN + prefix).map((key) => key.slice(PLAIN.length));
  return [...new Set([...stored.filter((key) => key.startsWith(prefix)), ...plain])];
}

/** What the synchronous store has under a key; null when there is nothing, or nothing readable. */
export function readPlain(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as unknown;
  } catch {
    return null;
  }
}

/** @returns whether there was room for it */
export function keepPlain(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    dropPlain(key);
    return false;
  }
}

export function dropPlain(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // There is no such store here.
  }
}

export function plainKeys(prefix: string): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(prefix));
  } catch {
    return [];
  }
}
