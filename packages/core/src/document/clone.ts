/** Plain data that may be written on, however deep. */
export type DeepWritable<V> = V extends string | number | boolean | null | undefined
  ? V
  : { -readonly [K in keyof V]: DeepWritable<V[K]> };

/** A copy of plain data that shares nothing with it, as JSON has it: what is undefined is left out. */
export function clone<V>(value: V): DeepWritable<V> {
  return JSON.parse(JSON.stringify(value)) as DeepWritable<V>;
}
