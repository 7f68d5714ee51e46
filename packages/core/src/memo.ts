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
    if (found?.of.length !== of.length || !found.of.every((each, k) => each === of[k]))
      known.set(key, (found = { of, value: make() }));
    return found.value;
  };
}

/** Gives what was made before, or makes it. */
export type Remembered<Key, Value> = (key: Key, of: readonly unknown[], make: () => Value) => Value;

/**
 * What was made of texts is kept for those that were asked for last.
 * @param most how many are kept, 1 or more
 */
export function perText<Value>(most: number): (text: string, make: () => Value) => Value {
  const known = new Map<string, { readonly value: Value }>();
  return (text, make) => {
    const found = known.get(text) ?? { value: make() };
    known.delete(text);
    known.set(text, found);
    if (known.size > most) known.delete(known.keys().next().value as string);
    return found.value;
  };
}
