import { HttpStatus } from '@nestjs/common';
import { json, type Request, type RequestHandler } from 'express';
import type { IncomingMessage } from 'node:http';
import { ProblemException } from '../problems/problem.js';

const MOST_DEPTH = 64;
const MOST_VALUES = 2_000_000;
const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT, COMMA] = [
  ...[0x22, 0x5c, 0x5b, 0x5d, 0x7b, 0x7d, 0x2c],
];

const sizes = new WeakMap<IncomingMessage, number>();

/** How long the JSON body of a request was as it came, bytes. */
export const bodySize = (request: Request): number => sizes.get(request) ?? 0;

/** Reads JSON bodies, after their size, depth and number of values were found to be within bounds. */
export const boundedJson = (limit: number): RequestHandler =>
  json({
    limit,
    strict: false,
    type: ['application/json', 'application/json-patch+json'],
    verify: (request, _, bytes) => {
      sizes.set(request, bytes.length);
      const amiss = outOfBounds(bytes);
      if (amiss === null) return;
      throw new ProblemException(HttpStatus.BAD_REQUEST, 'malformed', 'The request is malformed', amiss);
    },
  });

/** What of a JSON text is more than is read, in words; null when it is within bounds. Looks at each byte once. */
export function outOfBounds(bytes: Buffer): string | null {
  let [depth, values, isText] = [0, 0, false];
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at];
    if (isText) {
      if (byte === BACKSLASH) at++;
      else if (byte === QUOTE) isText = false;
    } else if (byte === QUOTE) isText = true;
    else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      if (++depth > MOST_DEPTH) return `The body nests more than ${MOST_DEPTH} deep. Send it flatter.`;
      values++;
    } else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth--;
    else if (byte === COMMA) values++;
  }
  return values > MOST_VALUES ? `The body holds more than ${MOST_VALUES} values. Send less at once.` : null;
}
