/** Remembering what was worked out, for as long as what it was worked out of is there. */

/** What is made of an object is made once. */
export function perObject<Key extends object, Value>(make: (key: Key) => Value): (key: Key) => Value {
  const known = new WeakMap<Key, { readonly value: Value }>();
  return (key) => {
    let found = known.get(key);
    if (!found) known.set(key, (found = { value: make(key) }));
    return found.value;
  };
}

/** What is made of an object and a text or a number is made once. */
export function perObjectAnd<Key extends object, Part extends string | number, Value>(
  make: (key: Key, part: Part) => Value,
): (key: Key, part: Part) => Value {
  const parts = perObject((_: Key) => new Map<Part, { readonly value: Value }>());
  return (key, part) => {
    const known = parts(key);
    let found = known.get(part);
    if (!found) known.set(part, (found = { value: make(key, part) }));
    return found.value;
  };
}

/**
 * What was made of an object last stands while everything else that it was made of is the same, one by
 * one and by identity.
 */
export function whileSame<Key extends object, Value>(): Remembered<Key, Value> {
  const known = new WeakMap<Key, { readonly of: readonly unknown[]; readonly value: Value }>();
  return (key, of, make) => {
    let found = known.get(key);
    if (!found || !areSame(found.of, of)) known.set(key, (found = { of, value: make() }));
    return found.value;
  };
}

function areSame(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false;
  for (let k = 0; k < a.length; k++) if (a[k] !== b[k]) return false;
  return true;
}

/** Gives what was made before, or makes it. */
export type Remembered<Key, Value> = (key: Key, of: readonly unknown[], make: () => Value) => Value;

/**
 * What was made of texts is kept for those that were asked for last.
 * @param most how many are kept for certain, 1 or more; never more than twice as many
 */
export function perText<Value>(most: number): (text: string, make: () => Value) => Value {
  let young = new Map<string, { readonly value: Value }>();
  let old = young;
  return (text, make) => {
    let found = young.get(text);
    if (found) return found.value;
    found = old.get(text) ?? { value: make() };
    if (young.size >= most) {
      old = young;
      young = new Map();
    }
    young.set(text, found);
    return found.value;
  };
}
