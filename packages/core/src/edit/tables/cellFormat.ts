/** How the cells of a column are written in tiles: by the language of the collection (ECMA-402). */

import type { CellFormat } from '../../document/types.js';

/** Formats that are offered, those of numbers and those of dates. */
export const NUMBER_FORMATS: readonly CellFormat[] = [
  'number',
  'percent',
  ...(['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'JPY'] as const).map((code): CellFormat => `currency-${code}`),
];
export const DATE_FORMATS: readonly CellFormat[] = ['date', 'date-long', 'day-month'];

/**
 * The number that a cell says, with blanks, apostrophes, points or commas between thousands; null: none. Of a point and
 * a comma the last one stands before the decimals; one comma before three digits stands between thousands.
 */
export function readNumber(cell: string): number | null {
  const text = cell.trim().replace(/[\s\u00a0\u202f'’]/g, '');
  if (!/^[-+−]?[\d.,]*\d$/.test(text)) return null;
  const [points, commas] = [text.split('.').length - 1, text.split(',').length - 1];
  const isComma =
    commas === 1 && (points === 0 ? !/,\d{3}$/.test(text) : text.lastIndexOf(',') > text.lastIndexOf('.'));
  const isPoint = points === 1 && (commas === 0 || text.lastIndexOf('.') > text.lastIndexOf(','));
  const decimal = isComma ? ',' : isPoint ? '.' : null;
  const at = decimal === null ? -1 : text.lastIndexOf(decimal);
  const plain = text.replace(/[.,]/g, (_, k: number) => (k === at ? '.' : '')).replace('−', '-');
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}

/** The day that a cell says as ISO 8601 has it, with `-` or `/` between; null: none. */
export function readDate(cell: string): Date | null {
  const found = /^(\d{4})[-/](\d{1,2})[-/](\d{1,2})(?:[T ]\d{2}:\d{2}.*)?$/.exec(cell.trim());
  if (!found) return null;
  const [year, month, day] = found.slice(1).map(Number) as [number, number, number];
  const date = new Date(Date.UTC(year, month - 1, day));
  // The 31st of February is none.
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day ? date : null;
}

const DATES: Readonly<Record<string, Intl.DateTimeFormatOptions>> = {
  date: { dateStyle: 'medium' },
  'date-long': { dateStyle: 'full' },
  'day-month': { day: 'numeric', month: 'long' },
};

/**
 * A cell as its format has it in a language; what is no number or date stays as it is written.
 * @param language a BCP 47 tag
 */
export function formatCell(cell: string, format: CellFormat | undefined, language: string): string {
  if (format === undefined) return cell;
  const dateStyle = DATES[format];
  if (dateStyle) {
    const date = readDate(cell);
    return date ? new Intl.DateTimeFormat(language, { ...dateStyle, timeZone: 'UTC' }).format(date) : cell;
  }
  const isPercent = format === 'percent';
  const value = readNumber(isPercent ? cell.replace(/%\s*$/, '') : cell);
  if (value === null) return cell;
  if (format.startsWith('currency-')) {
    const currency = format.slice('currency-'.length);
    const whole = Number.isInteger(value) && { minimumFractionDigits: 0 };
    return new Intl.NumberFormat(language, { style: 'currency', currency, ...whole }).format(value);
  }
  if (!isPercent) return new Intl.NumberFormat(language, { maximumFractionDigits: 20 }).format(value);
  // “12 %” and “0.12” are the same share.
  const share = /%\s*$/.test(cell) || Math.abs(value) > 1 ? value / 100 : value;
  return new Intl.NumberFormat(language, { style: 'percent', maximumFractionDigits: 2 }).format(share);
}

/** The formats that a column can have: where each of its cells that is not empty is a number, or each a date. */
export function formatsOf(cells: readonly string[]): readonly CellFormat[] {
  const said = cells.filter((cell) => cell.trim() !== '');
  if (said.length === 0) return [];
  if (said.every((cell) => readNumber(cell.replace(/%\s*$/, '')) !== null)) return NUMBER_FORMATS;
  return said.every((cell) => readDate(cell) !== null) ? DATE_FORMATS : [];
}
