import { Injectable, type PipeTransform } from '@nestjs/common';
import type { JsonPatch } from '@noria/core';
import { validateSync } from 'class-validator';
import { describe, malformed, notAField, type FieldProblem } from '../problems/validation.js';
import { PatchOperationDto } from './dto/patch-operation.dto.js';

const MOST_OPERATIONS = 20_000;
const MOST_PATH = 1000;

/** A body that is a JSON Patch: a list of operations, each of the known shape. */
@Injectable()
export class JsonPatchPipe implements PipeTransform<unknown, JsonPatch> {
  transform(body: unknown): JsonPatch {
    if (!Array.isArray(body) || body.length > MOST_OPERATIONS) {
      throw malformed([
        {
          path: '',
          message: `The body is a JSON Patch: a list of up to ${MOST_OPERATIONS} operations (RFC 6902).`,
        },
      ]);
    }
    for (const [index, operation] of (body as unknown[]).entries()) {
      if (isPlain(operation)) continue;
      const problems = amissIn(operation, index);
      if (problems.length > 0) throw malformed(problems);
    }
    return body as JsonPatch;
  }
}

function amissIn(operation: unknown, index: number): FieldProblem[] {
  if (typeof operation !== 'object' || operation === null || Array.isArray(operation))
    return [{ path: `/${index}`, message: 'An operation is an object with “op” and “path”.' }];
  const { op, path, from, value, ...others } = operation as Record<string, unknown>;
  const dto = Object.assign(new PatchOperationDto(), {
    op,
    path,
    ...(from !== undefined && { from }),
    value,
  });
  const unknown = Object.keys(others).map((field) => notAField(field, `/${index}`));
  return [...unknown, ...validateSync(dto).flatMap((error) => describe(error, `/${index}`))];
}

/**
 * Whether an operation is as most are: known at a glance. All others are looked at by their class, which
 * says what is wrong with them, and takes a hundred times as long.
 */
function isPlain(operation: unknown): boolean {
  if (typeof operation !== 'object' || operation === null) return false;
  const { op, path } = operation as { readonly op?: unknown; readonly path?: unknown };
  if (typeof path !== 'string' || path.length > MOST_PATH) return false;
  const fields = Object.keys(operation).length;
  if (op === 'remove') return fields === 2;
  return (op === 'add' || op === 'replace' || op === 'test') && fields === 3 && 'value' in operation;
}
