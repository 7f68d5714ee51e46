import { HttpStatus } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import { IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { ProblemException } from '../problems/problem.js';

/** Where a page of a list begins: after the entry of this moment and id. */
export interface Cursor {
  /** As PostgreSQL writes it, to the microsecond. */
  readonly at: string;
  readonly id: string;
}

export interface Page<Entry> {
  readonly entries: readonly Entry[];
  /** Asks for the next page; null at the end. */
  readonly next: string | null;
}

export const MOST_IN_A_PAGE = 200;

/** Which page of a list is asked for. */
export class PageDto {
  @ApiProperty({ required: false, description: 'How many at most, 1 to 200', default: 60 })
  @IsOptional()
  @Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? Number(value) : value))
  @IsInt()
  @Min(1)
  @Max(MOST_IN_A_PAGE)
  limit?: number;

  @ApiProperty({ required: false, description: 'The “next” of the page before' })
  @IsOptional()
  @IsString()
  @MaxLength(400)
  after?: string;
}

export const writeCursor = (cursor: Cursor): string =>
  Buffer.from(JSON.stringify([cursor.at, cursor.id])).toString('base64url');

/** @throws ProblemException 400 when it is none that a list gave out */
export function readCursor(text: string | undefined): Cursor | null {
  if (text === undefined || text === '') return null;
  try {
    const [at, id] = JSON.parse(Buffer.from(text, 'base64url').toString('utf8')) as unknown[];
    if (typeof at === 'string' && typeof id === 'string' && MOMENT.test(at) && ID.test(id)) return { at, id };
  } catch {
    // Said below.
  }
  throw new ProblemException(
    HttpStatus.BAD_REQUEST,
    'malformed',
    'The request is malformed',
    '“after” is the “next” of the page before. Leave it out to begin with the first page.',
  );
}

const MOMENT = /^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d(\.\d{1,6})?[+-]\d\d(:\d\d)?$/;
const ID = /^[0-9a-f-]{1,64}$/;

/** One page of rows that were asked for with one more than it holds. */
export function pageOf<Row extends { readonly at: string }, Entry>(
  rows: readonly Row[],
  limit: number,
  idOf: (row: Row) => string,
  toEntry: (row: Row) => Entry,
): Page<Entry> {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return {
    entries: shown.map(toEntry),
    next: rows.length > limit && last ? writeCursor({ at: last.at, id: idOf(last) }) : null,
  };
}
