import { createParamDecorator, HttpStatus, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { ProblemException } from '../problems/problem.js';

/** The client's own name of a change, from `Idempotency-Key`; null when it has none. */
export const ChangeId = createParamDecorator((_: unknown, context: ExecutionContext): string | null => {
  const header = context.switchToHttp().getRequest<Request>().headers['idempotency-key'];
  if (header === undefined || header === '') return null;
  if (typeof header === 'string' && /^[\x21-\x7e]{1,100}$/.test(header)) return header;
  throw new ProblemException(
    HttpStatus.BAD_REQUEST,
    'malformed',
    'The request is malformed',
    'Idempotency-Key has 1 to 100 visible characters of ASCII.',
  );
});
