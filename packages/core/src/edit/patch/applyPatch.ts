import jsonPatch, { type Operation } from 'fast-json-patch';
import type { CollectionDocument } from '../../document/types.js';
import type { Command } from './change.js';
import type { JsonPatch } from './types.js';

/** A patch that does not fit its document; says which operation and why. */
export class PatchError extends Error {
  override readonly name = 'PatchError';
  constructor(
    message: string,
    /** Number of the operation in the patch, from 0. */
    readonly operation: number,
    readonly path: string,
  ) {
    super(message);
  }
}

const REASONS: Readonly<Record<string, string>> = {
  OPERATION_PATH_UNRESOLVABLE:
    'there is nothing at this path. Read the collection again and write the patch again',
  OPERATION_FROM_UNRESOLVABLE:
    'there is nothing at its “from”. Read the collection again and write the patch again',
  OPERATION_PATH_CANNOT_ADD: 'nothing can be added here, because its parent is missing. Add the parent first',
  OPERATION_PATH_ILLEGAL_ARRAY_INDEX: 'a list takes a position as a whole number, or “-” for its end',
  OPERATION_VALUE_OUT_OF_BOUNDS: 'the position is beyond the end of the list',
  OPERATION_PATH_INVALID: 'a path is text that is empty or starts with “/”',
  OPERATION_OP_INVALID: '“op” is one of add, remove, replace, move, copy, test',
  OPERATION_VALUE_REQUIRED: 'it needs a “value”',
  OPERATION_FROM_REQUIRED: 'it needs a “from”',
  TEST_OPERATION_FAILED: 'the value there is another. Somebody else may have changed it',
};

/** How deep a document may nest; its deepest fields lie far above. */
const MOST_DEPTH = 64;

/**
 * Applies a JSON Patch (RFC 6902), all of it or nothing. Parts that it does not touch stay the same
 * objects. An operation takes about as long as the lists it changes are.
 * @param from number of the first operation, from 0, where it is a slice of a longer patch
 * @throws PatchError when an operation is malformed, does not fit the document, or nests it too deeply
 */
export function applyPatch<D extends object = CollectionDocument>(
  document: D,
  patch: JsonPatch,
  from = 0,
): D {
  // The containers that were copied for this patch, and may be written on.
  const own = new Set<object>();
  const result = copyOf(document, own);
  patch.forEach((operation, index) => {
    try {
      refuse(operation);
      unshare(result, operation.path, own);
      if (operation.op === 'move') unshare(result, operation.from, own);
      jsonPatch.applyOperation(result, withOwnValue(operation), true, true, true, index);
      if (depthAt(operation) > MOST_DEPTH) throw new RangeError('It nests too deeply.');
    } catch (error) {
      throw toPatchError(error, operation, from + index);
    }
  });
  // What is moved brings its own depth along, a little more each time.
  if (patch.some(({ op }) => op === 'move') && depthOf(result, MOST_DEPTH) > MOST_DEPTH)
    throw new PatchError('The patch nests the collection too deeply.', from + patch.length - 1, '');
  return result;
}

/** A patch as a command; it throws a PatchError when it does not fit. */
export const patchCommand =
  (patch: JsonPatch): Command =>
  (draft) => {
    patch.forEach((operation, index) => {
      try {
        refuse(operation);
        jsonPatch.applyOperation(draft, withOwnValue(operation), true, true, true, index);
      } catch (error) {
        throw toPatchError(error, operation, index);
      }
    });
  };

function refuse(operation: JsonPatch[number]): void {
  if (operation.path === '') throw new RangeError('The root is not replaced.');
  if (operation.op === 'move' && operation.path.startsWith(`${operation.from}/`))
    throw new RangeError('Nothing is moved into itself.');
}

/** The document must not share objects with the patch, which is sent and kept as it is. */
const withOwnValue = (operation: JsonPatch[number]): Operation => jsonPatch.deepClone(operation) as Operation;

function copyOf<T extends object>(value: T, own: Set<object>): T {
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as T;
  own.add(copy);
  return copy;
}

/** Copies the containers that lead to a path, but for those that were copied before. */
function unshare(root: object, path: string, own: Set<object>): void {
  if (typeof path !== 'string') return;
  let container = root as Record<string, unknown>;
  for (const segment of path.split('/').slice(1, -1)) {
    const key = jsonPatch.unescapePathComponent(segment);
    const inside = Object.hasOwn(container, key) ? container[key] : undefined;
    if (typeof inside !== 'object' || inside === null) return;
    if (!own.has(inside)) container[key] = copyOf(inside, own);
    container = container[key] as Record<string, unknown>;
  }
}

/** How deep the value lies and is itself, as far as the operation says. */
function depthAt(operation: JsonPatch[number]): number {
  const depth = operation.path.split('/').length - 1;
  return depth + ('value' in operation ? depthOf(operation.value, MOST_DEPTH) : 0);
}

/** How deep a value nests, counted no further than `most`. */
function depthOf(value: unknown, most: number): number {
  if (typeof value !== 'object' || value === null) return 0;
  if (most <= 0) return 1;
  let deepest = 0;
  for (const inside of Object.values(value)) deepest = Math.max(deepest, depthOf(inside, most - 1));
  return deepest + 1;
}

function toPatchError(error: unknown, operation: unknown, index: number): PatchError {
  const code = error instanceof Error ? error.name : '';
  const { op, path } = { op: 'no op', path: '', ...(operation as object | null) };
  const reason = REASONS[code] ?? (path === '' ? REASONS.OPERATION_PATH_INVALID : undefined);
  const why = reason ?? 'it can’t be applied here';
  return new PatchError(`Operation ${index + 1} of the patch (${op} ${path}): ${why}.`, index, path);
}
