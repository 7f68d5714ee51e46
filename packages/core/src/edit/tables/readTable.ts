import Papa from 'papaparse';
import { LIMITS } from '../../document/limits.js';

/** A table as it came in: every cell is text. */
export interface ReadTable {
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
  /** What was not as it should be, and what was made of it. */
  readonly notices: readonly string[];
}

/** A table that can't be read; the message says where and what to do. */
export class TableError extends Error {
  override readonly name = 'TableError';
}

export const MOST_TABLE_BYTES = 8 * 1024 * 1024;

/**
 * Reads a table from CSV (RFC 4180; separators found out) or from a JSON list of objects.
 * @param bytes of the file, UTF-8 or, when it is not that, Windows-1252
 * @throws TableError when it is too large, is no text, has broken quotes, no rows, or is no table
 */
export function readTable(bytes: Uint8Array): ReadTable {
  if (bytes.length > MOST_TABLE_BYTES)
    throw new TableError(
      `The table has ${bytes.length} bytes; at most ${MOST_TABLE_BYTES} are read. Split it.`,
    );
  const { text, notices } = decoded(bytes);
  if (/\0|\\u0000/.test(text))
    throw new TableError(
      'The table holds a character that no text can have (U+0000). Save it as CSV in UTF-8, and import it again.',
    );
  const table = /^\s*[[{]/.test(text) ? fromJson(text) : fromCsv(text);
  if (table.rows.length === 0) throw new TableError('The table has no rows below its heading.');
  if (table.rows.length > LIMITS.tiles)
    throw new TableError(`The table has ${table.rows.length} rows; at most ${LIMITS.tiles} become tiles.`);
  if (table.columns.length > LIMITS.tableColumns)
    throw new TableError(
      `The table has ${table.columns.length} columns; at most ${LIMITS.tableColumns} are read.`,
    );
  for (const [k, row] of table.rows.entries()) {
    for (const [column, value] of Object.entries(row)) {
      if (value.length > LIMITS.words)
        throw new TableError(
          `Row ${k + 1}, “${column}”: ${value.length} characters; at most ${LIMITS.words} are kept. Shorten it.`,
        );
    }
  }
  return { ...table, notices: [...notices, ...table.notices] };
}

/**
 * Bytes as text. A file that is partly UTF-8 and partly not is told by what stands beside the odd bytes:
 * letters of more than one byte that are sound show that it began as UTF-8.
 * @throws TableError when two encodings are mixed
 */
function decoded(bytes: Uint8Array): { readonly text: string; readonly notices: readonly string[] } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes), notices: [] };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), notices: [] };
  } catch {
    const lenient = new TextDecoder('utf-8').decode(bytes);
    if (/[\u0080-\u07ff\u0800-\ufffc]/.test(lenient)) {
      const line = lenient.slice(0, lenient.indexOf('\ufffd')).split('\n').length;
      throw new TableError(
        `The file mixes two encodings: it is UTF-8, but not in line ${line}. Save it again as UTF-8.`,
      );
    }
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      notices: ['The file is not UTF-8; it was read as Windows-1252. Look whether accents came out right.'],
    };
  }
}

function fromCsv(text: string): ReadTable {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' });
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes)
    throw new TableError(
      `Row ${(quotes.row ?? 0) + 1}: a quotation mark is not closed, or stands inside of a cell alone. Write it twice inside of quotes, as in "the ""old"" hut".`,
    );
  const [head = [], ...body] = data;
  const columns = head.map((name, k) => name.trim() || `Column ${k + 1}`);
  const twice = columns.find((name, k) => columns.indexOf(name) !== k);
  if (twice !== undefined) throw new TableError(`Two columns are called “${twice}”. Give one another name.`);
  const uneven = body.flatMap((row, k) => (row.length === columns.length ? [] : [k + 2]));
  return {
    columns,
    rows: body.map((row) => Object.fromEntries(columns.map((name, k) => [name, (row[k] ?? '').trim()]))),
    notices:
      uneven.length === 0
        ? []
        : [
            `${uneven.length === 1 ? 'Line' : 'Lines'} ${uneven.slice(0, 5).join(', ')}${uneven.length > 5 ? ' and more' : ''}: not as many cells as columns; what lacks is empty, what is over is left out.`,
          ],
  };
}

function fromJson(text: string): ReadTable {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new TableError(`This is not JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
  const list = Array.isArray(json)
    ? json
    : Object.values(json as Record<string, unknown>).find((value) => Array.isArray(value));
  if (
    !Array.isArray(list) ||
    !list.every((row) => typeof row === 'object' && row !== null && !Array.isArray(row))
  )
    throw new TableError('A table in JSON is a list of objects, one a row: [{"name": "…"}, …]');
  const rows = list as Record<string, unknown>[];
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  const cell = (value: unknown): string =>
    typeof value === 'string' ? value : value === undefined || value === null ? '' : JSON.stringify(value);
  return {
    columns,
    rows: rows.map((row) => Object.fromEntries(columns.map((name) => [name, cell(row[name])]))),
    notices: [],
  };
}
