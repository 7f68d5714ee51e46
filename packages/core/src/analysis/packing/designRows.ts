import { LIMITS } from '../../document/limits.js';
import { newTile, type TileStart } from '../../parts/newTile.js';
import { insertTile } from '../../edit/commands/tiles.js';
import { setArrangement } from '../../edit/commands/arrangement.js';
import { setPin, setSpan, type SetFor } from '../../edit/commands/place.js';
import { bandsOf } from '../../document/bands.js';
import type { Command } from '../../edit/patch/change.js';
import type { TileId } from '../../document/types.js';
import type { Span } from './fillCells.js';

/** A design read as one regular grid. */
export interface DesignGrid {
  readonly columns: number;
  readonly rows: number;
  /** A span a card, in reading order. */
  readonly spans: readonly Span[];
}

const ROW = /^(\d+(?:\s*:\s*\d+)*)(?:\s+with\s+(?:(\d+)\s+|a\s+)?(?:halves|half)|\s+halved)?$/i;

export const DESIGN_LIKE =
  'Write the cards of each row, with commas: “2, 3, 2 with halves”. Shares are written “2:1”; “with halves” cuts the last card in two, “with 4 halves” the last two';

const greatest = (a: number, b: number): number => (b === 0 ? a : greatest(b, a % b));
const least = (a: number, b: number) => (a / greatest(a, b)) * b;

/**
 * The smallest grid that all rows of a design share: as many columns as the least common multiple of
 * the rows' shares, and twice the rows where a card is cut into halves.
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
  const high = rows.some(({ halved }) => halved > 0) ? 2 : 1;
  const spans = rows.flatMap(({ shares, halved }) => {
    const unit = columns / shares.reduce((sum, share) => sum + share, 0);
    return shares.flatMap((share, k): Span[] => {
      const whole = { columns: share * unit, rows: high };
      return k < shares.length - halved
        ? [whole]
        : [
            { ...whole, rows: 1 },
            { ...whole, rows: 1 },
          ];
    });
  });
  return { columns, rows: rows.length * high, spans };
}

function readRow(part: string): { readonly shares: readonly number[]; readonly halved: number } {
  const match = ROW.exec(part);
  const numbers = (match?.[1] ?? '').split(':').map((each) => Number(each.trim()));
  const shares =
    numbers.length === 1 ? Array.from({ length: Math.min(99, numbers[0] ?? 0) }, () => 1) : numbers;
  const halves = match?.[2] === undefined ? (/hal/i.test(part) ? 2 : 0) : Number(match[2]);
  if (
    !match ||
    shares.length === 0 ||
    shares.some((share) => share < 1) ||
    halves % 2 === 1 ||
    halves / 2 > shares.length
  )
    throw new RangeError(`“${part}” is no row. ${DESIGN_LIKE}.`);
  return { shares, halved: halves / 2 };
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
    const { rows } = bandsOf(draft)[band]?.arrangement ?? draft.arrangement;
    setArrangement({ columns, rows: rows.slice(0, grid.rows), flow: 'dense' }, band, setFor)(draft);
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
