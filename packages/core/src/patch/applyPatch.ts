import jsonPatch, { type Operation } from 'fast-json-patch';
import { produce } from 'immer';
import type { CollectionDocument } from '../document/types.js';
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
    'there is nothing at this path. Read the collection again and write the patch anew',
  OPERATION_FROM_UNRESOLVABLE:
    'there is nothing at its “from”. Read the collection again and write the patch anew',
  OPERATION_PATH_CANNOT_ADD: 'nothing can be added here, because its parent is missing. Add the parent first',
  OPERATION_PATH_ILLEGAL_ARRAY_INDEX: 'a list takes a position as a whole number, or “-” for its end',
  OPERATION_VALUE_OUT_OF_BOUNDS: 'the position is beyond the end of the list',
  OPERATION_PATH_INVALID: 'a path is text that is empty or starts with “/”',
  OPERATION_OP_INVALID: '“op” is one of add, remove, replace, move, copy, test',
  OPERATION_VALUE_REQUIRED: 'it needs a “value”',
  OPERATION_FROM_REQUIRED: 'it needs a “from”',
  TEST_OPERATION_FAILED: 'the value there is another. Somebody else may have changed it',
};

/**
 * Applies a JSON Patch (RFC 6902), all of it or nothing. Parts that it does not touch stay the same
 * objects.
 * @throws PatchError when an operation is malformed or does not fit the document
 */
export function applyPatch<D extends object = CollectionDocument>(document: D, patch: JsonPatch): D {
  return produce(document, (draft) => applyTo(draft, patch));
}

/** A patch as a command; it throws a PatchError when it does not fit. */
export const patchCommand =
  (patch: JsonPatch): Command =>
  (draft) =>
    applyTo(draft, patch);

function applyTo(draft: object, patch: JsonPatch): void {
  patch.forEach((operation, index) => {
    try {
      if (operation.path === '') throw new RangeError('The root is not replaced.');
      if (operation.op === 'move' && operation.path.startsWith(`${operation.from}/`))
        throw new RangeError('Nothing is moved into itself.');
      jsonPatch.applyOperation(draft, jsonPatch.deepClone(operation) as Operation, true, true, true, index);
    } catch (error) {
      throw toPatchError(error, operation, index);
    }
  });
}

function toPatchError(error: unknown, operation: unknown, index: number): PatchError {
  const code = error instanceof Error ? error.name : '';
  const { op, path } = { op: 'no op', path: '', ...(operation as object | null) };
  const reason = REASONS[code] ?? (path === '' ? REASONS.OPERATION_PATH_INVALID : undefined);
  const why = reason ?? 'it can’t be applied here';
  return new PatchError(`Operation ${index + 1} of the patch (${op} ${path}): ${why}.`, index, path);
}
