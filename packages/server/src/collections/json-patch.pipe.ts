import { Injectable, type PipeTransform } from '@nestjs/common';
import type { JsonPatch } from '@noria/core';
import { validateSync } from 'class-validator';
import { describe, malformed } from '../problems/validation.js';
import { PatchOperationDto } from './dto/patch-operation.dto.js';

const MOST_OPERATIONS = 20_000;

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
    const problems = body.flatMap((operation: unknown, index) => {
      if (typeof operation !== 'object' || operation === null) {
        return [{ path: `/${index}`, message: 'An operation is an object with “op” and “path”.' }];
      }
      const dto = Object.assign(new PatchOperationDto(), operation);
      const errors = validateSync(dto, { whitelist: true, forbidNonWhitelisted: true });
      return errors.flatMap((error) => describe(error, `/${index}`));
    });
    if (problems.length > 0) throw malformed(problems.slice(0, 20));
    return body as JsonPatch;
  }
}
