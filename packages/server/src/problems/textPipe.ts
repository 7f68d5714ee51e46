import { HttpStatus, Injectable, type PipeTransform } from '@nestjs/common';
import { ProblemException } from './problem.js';

const malformed = (detail: string) =>
  new ProblemException(HttpStatus.BAD_REQUEST, 'malformed', 'The request is malformed', detail);

/** A hash in an address: SHA-256 in hexadecimal. */
@Injectable()
export class HashPipe implements PipeTransform<string, string> {
  transform(hash: string): string {
    if (/^[0-9a-f]{64}$/.test(hash)) return hash;
    throw malformed('The address names a file by its hash: 64 hexadecimal digits of SHA-256.');
  }
}

/** A whole number in an address, as large as the database counts. */
@Injectable()
export class CountPipe implements PipeTransform<string, number> {
  transform(text: string): number {
    const value = /^\d{1,10}$/.test(text) ? Number(text) : NaN;
    if (value >= 0 && value < 2 ** 31) return value;
    throw malformed('The address holds a whole number from 0 to 2147483647.');
  }
}

/** The name of an uploaded file: without a path and signs that no text has, and not too long. */
export function fileNameOf(name: string): string {
  const last = name.slice(Math.max(name.lastIndexOf('/'), name.lastIndexOf('\\')) + 1);
  return (
    last
      .replace(/\p{Cc}/gu, '')
      .trim()
      .slice(0, 200) || 'Untitled'
  );
}
