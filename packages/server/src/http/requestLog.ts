import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import { destination, pino } from 'pino';
import { pinoHttp } from 'pino-http';

/**
 * A line for each request, with an id that its answer carries as `X-Request-Id` and that an error in
 * the server names.
 * @param file where the lines go; empty: nowhere, but ids are given all the same
 */
export function requestLog(file: string): RequestHandler {
  const logger = file
    ? pino(destination({ dest: file, mkdir: true, sync: false }))
    : pino({ enabled: false });
  return pinoHttp({
    logger,
    genReqId: (_, response) => {
      const id = randomUUID();
      response.setHeader('X-Request-Id', id);
      return id;
    },
    customLogLevel: (_, response, error) =>
      error || response.statusCode >= 500 ? 'error' : response.statusCode >= 400 ? 'warn' : 'info',
    serializers: {
      req: ({ id, method, url, remoteAddress }: Record<string, unknown>) => ({
        id,
        method,
        url,
        remoteAddress,
      }),
      res: ({ statusCode }: Record<string, unknown>) => ({ statusCode }),
    },
  });
}
