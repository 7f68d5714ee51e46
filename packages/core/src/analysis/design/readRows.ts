import { LIMITS } from '../../document/limits.js';
import { newTile, type TileStart } from '../../parts/newTile.js';
import { insertTile } from '../../edit/commands/tiles.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { setPin, setSpan, type SetFor } from '../../edit/commands/place.js';
import { bandsOf } from '../../document/bands.js';
import type { Command } from '../../edit/patch/change.js';
import { plainTrackSize } from '../../engine/css/trackSize.js';
import type { Arrangement, TileId, TrackSize } from '../../document/types.js';
import type { Span } from './fillCells.js';

/** A design read as one regular grid. */
export interface DesignGrid {
  readonly columns: number;
  readonly rows: number;
  /** For each row that was written, whether it takes two of the grid’s, because a card of it is cut. */
  readonly cut: readonly boolean[];
  /** A span a card, in reading order. */
  readonly spans: readonly Span[];
}

const SHARES = /^(\d+(?:\s*[:/]\s*\d+)*)\s*(.*)$/;
const LAST = /^(?:with\s+(?:(\d+)\s+|a\s+)?(?:halves|half)|halved)$/i;
const NTH = String.raw`(?:the\s+)?\d+(?:st|nd|rd|th)`;
const NAMED = new RegExp(
  String.raw`^with\s+${NTH}(?:\s*(?:and|&)\s*${NTH})*\s+(?:in\s+(?:two|halves)|halved)$`,
  'i',
);

export const DESIGN_LIKE =
  'Write the cards of each row, with commas: “2, 3, 2 with halves”. Shares are written “2:1” or “70/30”; “with halves” cuts the last card in two, “with 4 halves” the last two, “with the 2nd in halves” that one';

const greatest = (a: number, b: number): number => (b === 0 ? a : greatest(b, a % b));
const least = (a: number, b: number) => (a / greatest(a, b)) * b;

/**
 * The smallest grid that all rows of a design share: as many columns as the least common multiple of
 * the rows' shares, and two rows for each in which a card is cut into halves.
 * @throws RangeError when the text is no list of rows, or needs too many columns; it says what to write
 */
export function readDesign(text: string): DesignGrid {
  const rows = text
    .split(/,|;|\bthen\b|\n/i)
    .map((part) => part.trim())
    .filter(Boolean)
    .map(readRow);
  if (rows.length === 0) throw new RangeError(`${DESIGN_LIKE}.`);
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
  return { columns, rows: cut.reduce((sum, each) => sum + (each ? 2 : 1), 0), cut, spans };
}

interface DesignRow {
  readonly shares: readonly number[];
  /** Which cards are cut, from 0. */
  readonly halved: ReadonlySet<number>;
}

function readRow(part: string): DesignRow {
  const refused = new RangeError(`“${part}” is no row. ${DESIGN_LIKE}.`);
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

export interface ApplyDesign {
  readonly grid: DesignGrid;
  readonly band: number;
  readonly setFor: SetFor;
  /** Ids for tiles that are missing, in order. */
  readonly freshIds: readonly TileId[];
  readonly what: TileStart;
}

/** Cuts the grid as a design says, gives its spans to the tiles in reading order, and adds those that are missing. */
export function applyDesign({ grid, band, setFor, freshIds, what }: ApplyDesign): Command {
  return (draft) => {
    const columns = Array.from({ length: grid.columns }, () => '1fr');
    const arrangement = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    setArrangement({ columns, rows: rowSizes(grid, arrangement), flow: 'dense' }, band, setFor)(draft);
    freshIds
      .slice(0, Math.max(0, grid.spans.length - draft.order.length))
      .forEach((id) => insertTile(draft, newTile(what, id), draft.order.length));
    grid.spans.forEach(({ columns: columnSpan, rows: rowSpan }, k) => {
      const id = draft.order[k];
      if (id === undefined) return;
      setSpan({ tiles: [id], band, setFor, columnSpan, rowSpan })(draft);
      setPin([id], band, null)(draft);
    });
  };
}

/** The sizes of rows: a row that is cut stays as high as it was, in two; where none is, they are left. */
function rowSizes({ cut, rows: count }: DesignGrid, { rows, autoRows, rowGap }: RowsOf): TrackSize[] {
  if (!cut.includes(true)) return rows.slice(0, count);
  return cut.flatMap((isCut, k) => {
    const size = rows[k] ?? autoRows;
    return isCut ? [halfOf(size, rowGap), halfOf(size, rowGap)] : [size];
  });
}

type RowsOf = Pick<Arrangement, 'rows' | 'autoRows' | 'rowGap'>;

/** Half of a row’s size beside the gap between the halves; one that is no plain number is by its content. */
function halfOf(size: TrackSize, gap: number): TrackSize {
  const plain = plainTrackSize(size);
  if (!plain) return size;
  if (plain.unit === 'fr') return `${plain.value / 2}fr`;
  return `${Math.max(1, (plain.value - gap) / 2)}px`;
}
