import { HttpStatus } from '@nestjs/common';
import { FORMAT_VERSION, formatProblem, type Problem } from '@noria/core';
import { ProblemException } from '../problems/problem.js';
import type { Collection } from './collection.entity.js';

export function missing(id: string): never {
  throw new ProblemException(
    HttpStatus.NOT_FOUND,
    'no-collection',
    'No such collection',
    `There is no collection ${id} in this workspace. It may have been deleted; GET …/collections lists them.`,
  );
}

export function reused(): never {
  throw new ProblemException(
    HttpStatus.UNPROCESSABLE_ENTITY,
    'key-reused',
    'The Idempotency-Key was used before',
    'This Idempotency-Key came with another patch before. Send a new key with a new patch. Nothing was changed.',
  );
}

export function requireCurrent(collection: Collection, basedOn: number) {
  if (collection.revision === basedOn) return;
  throw new ProblemException(
    HttpStatus.PRECONDITION_FAILED,
    'stale-revision',
    'The collection has changed since',
    `This change is based on revision ${basedOn}; the collection is at ${collection.revision}. Read it again and repeat the change on it.`,
    { currentRevision: collection.revision },
  );
}

export function requirePresentFormat(format: number) {
  if (format === FORMAT_VERSION) return;
  throw new ProblemException(
    HttpStatus.CONFLICT,
    'other-format',
    'The change is in another format version',
    `It was made in format version ${format}; collections here are in ${FORMAT_VERSION}. Read the collection again and repeat the change on it.`,
  );
}

export function refuse(problems: readonly Problem[]): never {
  const errors = problems.filter(({ severity }) => severity === 'error');
  throw new ProblemException(
    HttpStatus.UNPROCESSABLE_ENTITY,
    'document-refused',
    'The collection would not be sound',
    `${errors.slice(0, 5).map(formatProblem).join(' ')} Nothing was stored.`,
    { problems: errors.slice(0, 50) },
  );
}
