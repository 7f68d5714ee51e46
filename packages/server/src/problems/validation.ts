import { HttpStatus, ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { ProblemException } from './problem.js';

/** Checks request bodies and queries by their class; a field that is not known is refused by name. */
export class RequestPipe extends ValidationPipe {
  constructor() {
    super({
      whitelist: true,
      forbidNonWhitelisted: true,
      transform: true,
      exceptionFactory: (errors) => malformed(errors.flatMap((error) => describe(error))),
    });
  }

  override transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const isChecked = metadata.type === 'body' && this.toValidate(metadata);
    if (isChecked && (typeof value !== 'object' || value === null || Array.isArray(value))) {
      const message = 'The body is a JSON object, sent with Content-Type: application/json.';
      throw malformed([{ path: '', message }]);
    }
    const [small, large] = apart(value, metadata.metatype as AsItIs | undefined);
    return (super.transform(small, metadata) as Promise<unknown>).then((checked) =>
      large === null ? checked : Object.assign(checked as object, large),
    );
  }
}

/** A class of a request that has fields which are checked elsewhere, and are too large to be copied here. */
interface AsItIs {
  readonly asItIs?: readonly string[];
}

/** A body with its large fields emptied, and these; as it came and null where it has none. */
function apart(value: unknown, of: AsItIs | undefined): [unknown, object | null] {
  const body = value as Record<string, unknown>;
  const isLarge = (field: string) =>
    typeof body[field] === 'object' && body[field] !== null && !Array.isArray(body[field]);
  const fields = (of?.asItIs ?? []).filter((field) => Object.hasOwn(body, field) && isLarge(field));
  if (fields.length === 0) return [value, null];
  const emptied = Object.fromEntries(fields.map((field) => [field, {}]));
  return [{ ...body, ...emptied }, Object.fromEntries(fields.map((field) => [field, body[field]]))];
}

export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

export function malformed(problems: readonly FieldProblem[]): ProblemException {
  const detail = problems
    .map(({ path, message }) => (path === '' ? message : `${path}: ${message}`))
    .join(' ');
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
