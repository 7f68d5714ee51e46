/** The value that all have, or null. */
export function shared<V>(values: readonly V[]): V | null {
  return new Set(values).size === 1 ? (values[0] ?? null) : null;
}
