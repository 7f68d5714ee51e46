import { HttpException, type HttpStatus } from '@nestjs/common';

/** An error as RFC 9457 describes it. */
export interface ProblemDetails {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  /** What happened and what to do. */
  readonly detail: string;
  readonly [extension: string]: unknown;
}

/** An error that the client can do something about. */
export class ProblemException extends HttpException {
  constructor(
    status: HttpStatus,
    /** Kind of problem in small words with hyphens: `stale-revision`. */
    kind: string,
    title: string,
    detail: string,
    extensions: Readonly<Record<string, unknown>> = {},
  ) {
    const body: ProblemDetails = { type: `urn:noria:problem:${kind}`, title, status, detail, ...extensions };
    super(body, status);
  }
}
