import { HttpStatus, ValidationPipe, type ValidationError } from '@nestjs/common';
import { ProblemException } from './problem.js';

/** Checks request bodies by their class; a field that is not known is refused by name. */
export function validationPipe(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    exceptionFactory: (errors) => malformed(errors.flatMap((error) => describe(error))),
  });
}

export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

export function malformed(problems: readonly FieldProblem[]): ProblemException {
  const detail = problems.map(({ path, message }) => `${path}: ${message}`).join(' ');
  return new ProblemException(HttpStatus.BAD_REQUEST, 'malformed', 'The request is malformed', detail, {
    problems,
  });
}

/** A validation error and those nested in it, with JSON Pointers. */
export function describe(error: ValidationError, parent = ''): FieldProblem[] {
  const path = `${parent}/${error.property}`;
  const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
    path,
    message: rule === 'whitelistValidation' ? notAField(error.property, parent).message : `${message}.`,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => describe(child, path))];
}

export const notAField = (field: string, parent: string): FieldProblem => ({
  path: `${parent}/${field.slice(0, 60)}`,
  message: `“${field.slice(0, 60)}” is not a field of this request. Remove it or check its spelling.`,
});
