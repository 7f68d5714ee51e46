import { HttpStatus } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { ProblemException } from '../problems/problem.js';

const LOOPBACK: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];
const SAFE: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The name in a Host header, without the port. */
const nameIn = (host: string) => host.toLowerCase().replace(/:\d{1,5}$/, '');

/**
 * Lets only Noria’s own pages, programs and addresses typed by hand reach a route.
 *
 * A name of somebody else’s that was made to point here (DNS rebinding) is told by its Host; a form, a
 * script or a picture of another site by Origin and Fetch Metadata, which browsers set and pages can’t.
 * @param hosts names of this server, besides those of the loopback
 */
export function ownPages(hosts: readonly string[]) {
  const names = new Set([...LOOPBACK, ...hosts]);
  return (request: Request, _: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    if (!names.has(nameIn(host))) {
      next(refused('This server does not go by that name. Ask for it by its own address.'));
      return;
    }
    next(comesFromElsewhere(request, host) ? refused('Only Noria’s own pages may ask for this.') : undefined);
  };
}

function comesFromElsewhere({ headers, method, path }: Request, host: string): boolean {
  const { origin } = headers;
  const site = headers['sec-fetch-site'];
  if (origin !== undefined && !isOf(origin, host)) return true;
  if (site === undefined || site === 'same-origin' || site === 'none') return false;
  // A link to one of our views may be followed from anywhere.
  const isVisit =
    headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document' && SAFE.has(method);
  return !isVisit || path.startsWith('/api/');
}

function isOf(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
}

const refused = (detail: string) =>
  new ProblemException(HttpStatus.FORBIDDEN, 'not-our-page', 'The request was refused', detail);
