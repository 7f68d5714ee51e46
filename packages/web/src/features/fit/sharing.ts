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
  const shared: Record<string, unknown> = {};
  let isSame = Object.keys(old).length === Object.keys(now).length;
  for (const [key, value] of Object.entries(now)) {
    shared[key] = sharing(Object.hasOwn(old, key) ? old[key] : undefined, value);
    isSame &&= Object.hasOwn(old, key) && shared[key] === old[key];
  }
  return (isSame ? before : shared) as T;
}
