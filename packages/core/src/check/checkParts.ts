import { fields, isObject, list, oneOf } from '../document/checks.js';
import { LIMITS } from '../document/limits.js';
import { id } from '../look/checks.js';
import { perObject } from '../memo.js';
import { isPart, partKindOf, partKinds } from '../parts/index.js';
import type { Check } from '../document/checks.js';
import type { PartName, PartStanding } from '../document/types.js';
import type { PartKind } from '../parts/part.js';

const kindOfPart: Check = (value, path, report) =>
  oneOf(
    partKinds().map((each) => each.name),
    'The kind of a part',
  )(value, path, report);

/** How a part of any kind stands in its card. */
export const STANDING: Readonly<Record<keyof PartStanding, Check>> = {
  hidden: oneOf([true], 'Whether a part is hidden'),
  beside: oneOf([true], 'Whether a part stands beside the one before it'),
  align: oneOf(['start', 'center', 'end', 'stretch'], 'The alignment of a part'),
  from: fields({ kind: kindOfPart, id }, 'The part that words were written in'),
};

/** A part of that kind. */
const checkOf = perObject(({ name, called, fields: own, optional = [] }: PartKind): Check =>
  fields({ id, kind: oneOf([name], 'The kind of a part'), ...STANDING, ...own }, called, [
    'id',
    ...Object.keys(STANDING),
    ...optional,
  ]),
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

/** What a card of a recipe shows in a variant. */
export const forms: Check = list(
  fields(
    {
      part: id,
      kind: kindOfPart,
      beside: STANDING.beside,
      align: STANDING.align,
    },
    'The form of a part',
    ['kind', 'beside', 'align'],
  ),
  0,
  LIMITS.parts,
  'The list of parts that a variant shows',
);
