import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { isDatabaseAway, isDatabaseBusy } from '../database/away.js';
import type { ProblemDetails } from './problem.js';

/** Answers every error as `application/problem+json`; what is unforeseen keeps its details to the log. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost) {
    const http = host.switchToHttp();
    answer(error, http.getRequest<Request>(), http.getResponse<Response>());
  }
}

/** The same for what comes before any route. Express knows it by its four parameters. */
export const answerProblem = (error: unknown, request: Request, response: Response, _: NextFunction) =>
  answer(error, request, response);

const log = new Logger('Problem');

function answer(error: unknown, request: Request, response: Response): void {
  if (response.headersSent || response.closed) {
    // What was begun can't be taken back; the client sees that it was cut short.
    response.destroy();
    return;
  }
  const problem = describe(error, request);
  if (problem.status === 503) response.setHeader('Retry-After', '1');
  for (const header of ['ETag', 'Cache-Control', 'Content-Length', 'Accept-Ranges'])
    response.removeHeader(header);
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

function describe(error: unknown, request: Request): ProblemDetails {
  if (error instanceof HttpException) {
    const body = error.getResponse();
    if (typeof body === 'object' && 'type' in body) return body as ProblemDetails;
    return plain(error.getStatus(), inWords(error));
  }
  const parser = parserProblem(error);
  if (parser) return parser;
  const isChange = !['GET', 'HEAD'].includes(request.method);
  const again = isChange ? 'Your change was not stored; try again.' : 'Try again.';
  if (isDatabaseAway(error)) {
    return {
      ...plain(503, `The database does not answer. ${again}`),
      type: 'urn:noria:problem:database-away',
    };
  }
  if (isDatabaseBusy(error)) {
    return { ...plain(503, `The database is busy. ${again}`), type: 'urn:noria:problem:database-busy' };
  }
  const id = (request as { readonly id?: unknown }).id;
  log.error(
    `${typeof id === 'string' ? id : ''} ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`,
  );
  return { ...plain(500, `Something went wrong in the server. ${again}`), requestId: id };
}

const TITLES: Readonly<Record<number, string>> = {
  400: 'The request is malformed',
  404: 'Not found',
  405: 'Not possible here',
  413: 'Too large',
  415: 'A type that is not read here',
  429: 'Too many requests',
  500: 'Error in the server',
  503: 'Not to be reached just now',
};

const plain = (status: number, detail: string): ProblemDetails => ({
  type: 'about:blank',
  title: TITLES[status] ?? 'The request was refused',
  status,
  detail,
});

/** Nest passes on what the JSON parser says as it is. */
function inWords(error: HttpException): string {
  const broken = error.getStatus() === 400 && /JSON|Unexpected token/.test(error.message);
  return broken ? `The body is not JSON: ${error.message}.` : error.message;
}

/** Errors of parsers of bodies, forms and addresses, which come before any controller. */
function parserProblem(error: unknown): ProblemDetails | null {
  if (error instanceof URIError)
    return plain(400, 'The address holds a % that is not followed by two digits.');
  if (!(error instanceof Error) || !('status' in error) || typeof error.status !== 'number') return null;
  if (error.status < 400 || error.status > 499) return null;
  const kind = 'type' in error ? error.type : '';
  if (kind === 'entity.too.large') {
    const most = 'limit' in error ? Math.round(Number(error.limit) / 1024 / 1024) : 16;
    return plain(413, `The request is larger than ${most} MB. Send a smaller one.`);
  }
  if (kind === 'entity.parse.failed') return plain(400, `The body is not JSON: ${error.message}.`);
  return plain(error.status, error.message);
}
