/**
 * A copy of plain data in which every part that is the same as before is the object of before, down
 * to the whole.
 */
export function sharing<T>(before: unknown, after: T): T {
  if (Object.is(before, after)) return after;
  if (typeof before !== 'object' || typeof after !== 'object' || before === null || after === null)
    return after;
  if (Array.isArray(after)) {
    if (!Array.isArray(before)) return after;
    const shared = after.map((each, k) => sharing(before[k], each) as unknown);
    const isSame = before.length === shared.length && shared.every((each, k) => each === before[k]);
    return (isSame ? before : shared) as T;
  }
  if (Array.isArray(before)) return after;
  const [old, now] = [before as Record<string, unknown>, after as Record<string, unknown>];
  const shared = Object.entries(now).map(
    ([key, value]) => [key, sharing(Object.hasOwn(old, key) ? old[key] : undefined, value)] as const,
  );
  const isSame =
    Object.keys(old).length === shared.length &&
    shared.every(([key, value]) => Object.hasOwn(old, key) && value === old[key]);
  // not key by key: a key of a file may be "__proto__", which is to be a key like any other
  return (isSame ? before : Object.fromEntries(shared)) as T;
}

/**
 * Takes in copies of one thing as they arrive in a worker: what stayed as it was is the object of the
 * copy before, so what core knows of it holds.
 */
export function keeper<T>(): (copy: T) => T {
  let last: T | null = null;
  return (copy) => (last = sharing(last, copy));
}
