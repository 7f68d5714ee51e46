import { LIMITS } from '../../document/limits.js';
import type { Span } from '../packing/fillCells.js';
import type { DesignGrid } from './design.js';

const SHARES = /^(\d+(?:\s*[:/]\s*\d+)*)\s*(.*)$/;
const LAST = /^(?:with\s+(?:(\d+)\s+|a\s+)?(?:halves|half)|halved)$/i;
const NTH = String.raw`(?:the\s+)?\d+(?:st|nd|rd|th)`;
const NAMED = new RegExp(
  String.raw`^with\s+${NTH}(?:\s*(?:and|&)\s*${NTH})*\s+(?:in\s+(?:two|halves)|halved)$`,
  'i',
);

export const ROWS_LIKE =
  'Write the cards of each row, with commas: “2, 3, 2 with halves”. Shares are written “2:1” or “70/30”; “with halves” cuts the last card in two, “with 4 halves” the last two, “with the 2nd in halves” that one';

const greatest = (a: number, b: number): number => (b === 0 ? a : greatest(b, a % b));
const least = (a: number, b: number) => (a / greatest(a, b)) * b;

/**
 * The smallest grid that all rows of a design share: as many columns as the least common multiple of
 * the rows' shares, and two rows for each in which a card is cut into halves.
 * @param parts a row each
 * @throws RangeError when one is no row, or they need too many columns; it says what to write
 */
export function readRows(parts: readonly string[]): DesignGrid {
  const rows = parts.map(readRow);
  const columns = rows.map(({ shares }) => shares.reduce((sum, share) => sum + share, 0)).reduce(least);
  if (columns > LIMITS.columns) {
    throw new RangeError(
      `These rows share no grid of fewer than ${columns} columns; ${LIMITS.columns} are the most. Change a row.`,
    );
  }
  const cut = rows.map(({ halved }) => halved.size > 0);
  const spans = rows.flatMap(({ shares, halved }): Span[] => {
    const unit = columns / shares.reduce((sum, share) => sum + share, 0);
    const high = halved.size > 0 ? 2 : 1;
    const first = shares.map((share, k) => ({ columns: share * unit, rows: halved.has(k) ? 1 : high }));
    // The lower halves are read when their row has been: that is where they flow to.
    return [...first, ...first.filter((_, k) => halved.has(k))];
  });
  return {
    columns,
    rows: cut.reduce((sum, each) => sum + (each ? 2 : 1), 0),
    cut: cut.includes(true) ? cut : [],
    spans,
  };
}

interface DesignRow {
  readonly shares: readonly number[];
  /** Which cards are cut, from 0. */
  readonly halved: ReadonlySet<number>;
}

function readRow(part: string): DesignRow {
  const refused = new RangeError(`“${part}” is no row. ${ROWS_LIKE}.`);
  const [, written = '', rest = ''] = SHARES.exec(part) ?? [];
  const numbers = written.split(/[:/]/).map((each) => Number(each.trim()));
  const common = numbers.reduce(greatest, 0);
  const shares =
    numbers.length === 1
      ? Array.from({ length: Math.min(99, numbers[0] ?? 0) }, () => 1)
      : numbers.map((share) => share / common);
  if (written === '' || shares.length === 0 || numbers.some((share) => share < 1)) throw refused;
  const halved = halvedIn(rest, shares.length);
  if (!halved) throw refused;
  return { shares, halved };
}

/** Which of so many cards words cut in two; null where they say nothing of the kind. */
function halvedIn(words: string, cards: number): ReadonlySet<number> | null {
  if (words === '') return new Set();
  const last = LAST.exec(words);
  if (last) {
    const halves = Number(last[1] ?? 2);
    if (halves < 2 || halves % 2 === 1 || halves / 2 > cards) return null;
    return new Set(Array.from({ length: halves / 2 }, (_, k) => cards - 1 - k));
  }
  if (!NAMED.test(words)) return null;
  const which = [...words.matchAll(/\d+/g)].map(([digits]) => Number(digits) - 1);
  return which.every((k) => k >= 0 && k < cards) ? new Set(which) : null;
}
