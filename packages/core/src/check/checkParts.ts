import { fields, isObject, list, oneOf } from '../document/checks.js';
import { LIMITS } from '../document/limits.js';
import { id } from '../look/checks.js';
import { perObject } from '../memo.js';
import { isPart, partKindOf, partKinds } from '../parts/index.js';
import type { Check } from '../document/checks.js';
import type { PartName } from '../document/types.js';
import type { PartKind } from '../parts/part.js';

/** A part of that kind. */
const checkOf = perObject(({ name, called, fields: own, optional = [] }: PartKind): Check =>
  fields({ id, kind: oneOf([name], 'The kind of a part'), ...own }, called, ['id', ...optional]),
);

const part: Check = (value, path, report) => {
  const name = isObject(value) ? String(value.kind) : '';
  if (isPart(name)) return checkOf(partKindOf({ kind: name as PartName }))(value, path, report);
  const known = partKinds().map((each) => each.name);
  if (isObject(value)) oneOf(known, 'The kind of a part')(value.kind, `${path}/kind`, report);
  else fields({}, 'A part')(value, path, report);
};

/** What is in a card. */
export const parts: Check = list(part, 0, LIMITS.parts, 'The list of parts');
