import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import type { ProblemDetails } from './problem.js';

/** Answers every error as `application/problem+json`; what is unforeseen keeps its details to the log. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost) {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) {
      response.end();
      return;
    }
    const problem = this.describe(error);
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }

  private describe(error: unknown): ProblemDetails {
    if (error instanceof HttpException) {
      const body = error.getResponse();
      if (typeof body === 'object' && 'type' in body) return body as ProblemDetails;
      return plain(error.getStatus(), inWords(error));
    }
    const parser = parserProblem(error);
    if (parser) return parser;
    this.log.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return plain(500, 'Something went wrong in the server. Your change was not stored; try again.');
  }
}

const TITLES: Readonly<Record<number, string>> = {
  400: 'The request is malformed',
  404: 'Not found',
  405: 'Not possible here',
  413: 'Too large',
  415: 'A type that is not read here',
  500: 'Error in the server',
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

/** Errors of the body parser, which come before any controller. */
function parserProblem(error: unknown): ProblemDetails | null {
  if (!(error instanceof Error) || !('status' in error) || typeof error.status !== 'number') return null;
  if (error.status < 400 || error.status > 499) return null;
  const kind = 'type' in error ? error.type : '';
  if (kind === 'entity.too.large') return plain(413, 'The request is larger than 16 MB. Send a smaller one.');
  return plain(error.status, error.message);
}
