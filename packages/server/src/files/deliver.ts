import { HttpStatus } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

interface Delivered {
  readonly mediaType: string;
  readonly byteSize: number;
  /** Names the bytes, so it never stands for others. */
  readonly tag: string;
  readonly read: (start: number, end: number) => Readable;
}

/** Answers a stored file, or the piece of it that the browser asks for (RFC 9110, section 14). */
export async function deliver(request: Request, response: Response, file: Delivered): Promise<void> {
  const { byteSize, mediaType, tag, read } = file;
  response.setHeader('ETag', `"${tag}"`);
  response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
  response.setHeader('Accept-Ranges', 'bytes');
  response.type(mediaType);
  if (request.fresh) {
    response.status(HttpStatus.NOT_MODIFIED).end();
    return;
  }
  const asked = request.range(byteSize, { combine: true });
  if (asked === -1) {
    response.setHeader('Content-Range', `bytes */${byteSize}`);
    response.status(HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE).end();
    return;
  }
  const [range] = Array.isArray(asked) && asked.type === 'bytes' && asked.length === 1 ? asked : [];
  const { start, end } = range ?? { start: 0, end: byteSize - 1 };
  if (range) {
    response.setHeader('Content-Range', `bytes ${start}-${end}/${byteSize}`);
    response.status(HttpStatus.PARTIAL_CONTENT);
  }
  response.setHeader('Content-Length', end - start + 1);
  if (request.method === 'HEAD') {
    response.end();
    return;
  }
  try {
    await pipeline(read(start, end), response);
  } catch (error) {
    // Who turns away in the middle of a film has not met an error.
    if (!response.destroyed && !response.closed) throw error;
  }
}
