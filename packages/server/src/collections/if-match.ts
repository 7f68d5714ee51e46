import { createParamDecorator, HttpStatus, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { ProblemException } from '../problems/problem.js';

export const entityTag = (revision: number) => `"${revision}"`;

/** The revision that a change is based on, from `If-Match: "12"`; 428 when it is missing. */
export const BasedOn = createParamDecorator((_: unknown, context: ExecutionContext): number => {
  const header = context.switchToHttp().getRequest<Request>().headers['if-match'];
  if (header === undefined) {
    throw new ProblemException(
      HttpStatus.PRECONDITION_REQUIRED,
      'revision-required',
      'Which revision is this change based on?',
      'Send the revision you read as If-Match: "NUMBER". A GET answers it as ETag.',
    );
  }
  const match = /^(?:W\/)?"(\d{1,9})"$/.exec(header.trim());
  if (match) return Number(match[1]);
  throw new ProblemException(
    HttpStatus.BAD_REQUEST,
    'malformed',
    'The request is malformed',
    `If-Match is a revision in quotes, like "12"; here it is ${header.slice(0, 40)}.`,
  );
});
