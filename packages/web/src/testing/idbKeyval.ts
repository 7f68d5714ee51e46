/** What a browser keeps in IndexedDB, in memory: in place of the package of this name in unit tests. */
const kept = new Map<string, unknown>();

export const get = (key: string): Promise<unknown> => Promise.resolve(kept.get(key));
export const set = (key: string, value: unknown): Promise<void> => Promise.resolve(void kept.set(key, value));
export const del = (key: string): Promise<void> => Promise.resolve(void kept.delete(key));

export const keys = (): Promise<string[]> => Promise.resolve([...kept.keys()]);
