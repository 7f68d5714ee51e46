import { isMedia } from '../../look/paints.js';
import { same } from '../../same.js';
import type { Fill, TileLook } from '../../document/types.js';
import type { LookChange } from './bandLooks.js';

/** What a fill of one kind of media has as one of the other. */
const OF_ANY_MEDIA: readonly string[] = ['focalPoint', 'tint', 'fit', 'zoom', 'position'];

/**
 * What another look is given when values are set on one: what was changed in them, and nothing else that they
 * hold. A tint that is set for several tiles leaves each its own picture, an angle its own colours. A value of
 * another kind is taken as a whole.
 * @param own the other look
 * @param before the look that the values are set on
 * @param values undefined takes one away
 */
export function changedAs(own: TileLook, before: TileLook, values: LookChange): LookChange {
  const fields = Object.keys(values) as (keyof TileLook)[];
  return Object.fromEntries(
    fields.map((field) => [field, changed(own[field], before[field], values[field])]),
  );
}

function changed(own: unknown, before: unknown, after: unknown): unknown {
  if (!isRecord(own) || !isRecord(before) || !isRecord(after) || before.kind !== after.kind) return after;
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => !same(before[key], after[key]),
  );
  const areMedia = isMedia(own as unknown as Fill) && isMedia(before as unknown as Fill);
  const isAlike = own.kind === before.kind || (areMedia && keys.every((key) => OF_ANY_MEDIA.includes(key)));
  if (!isAlike) return after;
  return Object.fromEntries(
    [...new Set([...Object.keys(own), ...keys])].flatMap((key) => {
      const value = keys.includes(key) ? changed(own[key], before[key], after[key]) : own[key];
      return value === undefined ? [] : [[key, value]];
    }),
  );
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
