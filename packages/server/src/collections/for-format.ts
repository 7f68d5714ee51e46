import { createParamDecorator, HttpStatus, type ExecutionContext } from '@nestjs/common';
import { FORMAT_VERSION } from '@noria/core';
import type { Request } from 'express';
import { ProblemException } from '../problems/problem.js';

/** The format version that a change was made in, from `Noria-Format`; left out: the present one. */
export const ForFormat = createParamDecorator((_: unknown, context: ExecutionContext): number => {
  const header = context.switchToHttp().getRequest<Request>().headers['noria-format'];
  if (header === undefined) return FORMAT_VERSION;
  if (typeof header === 'string' && /^[1-9]\d{0,3}$/.test(header)) return Number(header);
  throw new ProblemException(
    HttpStatus.BAD_REQUEST,
    'malformed',
    'The request is malformed',
    'Noria-Format is the format version of the document that was changed, like 2.',
  );
});
