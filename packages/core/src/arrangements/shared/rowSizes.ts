import { plainTrackSize } from '../../engine/css/trackSize.js';
import type { Arrangement, TrackSize } from '../../document/types.js';

type Rows = Pick<Arrangement, 'rows' | 'autoRows'>;

/**
 * How many px of a row’s size are one share, where rows share a height that is given and none is written as
 * a share already; null: rows keep their sizes.
 */
export function shareOfRows({ rows, autoRows, height }: Rows & Pick<Arrangement, 'height'>): number | null {
  if (!height || height.kind === 'content' || height.rows !== 'share') return null;
  const plain = [...rows, autoRows].map(plainTrackSize);
  if (plain.some((size) => size?.unit === 'fr')) return null;
  return plain.findLast((size) => size !== null && size.value > 0)?.value ?? 1;
}

/** Shares with at most four decimals. */
const shares = (px: number, one: number) => `${Number((px / one).toFixed(4))}fr`;

/** A row’s size as it counts: a share where rows share a height, else as it is written. */
export function rowAsShare(size: TrackSize, one: number | null): TrackSize {
  const plain = one === null ? null : plainTrackSize(size);
  return plain && one !== null ? shares(plain.value, one) : size;
}

/** A row’s size as it is written where rows share a height: a share that is typed, as px of it. */
export function shareAsRow(size: TrackSize, one: number | null): TrackSize {
  const plain = one === null ? null : plainTrackSize(size);
  return plain?.unit === 'fr' && one !== null ? `${Number((plain.value * one).toFixed(4))}px` : size;
}

/**
 * The sizes of the rows that are listed, and of all further ones, as the page has them: where rows share a
 * height that is given, their px are shares of it, and none is lower than its content. Rows that are shares
 * already are left, and those of px beside them.
 */
export function rowSizesOf(arrangement: Rows & Pick<Arrangement, 'height'>): Rows {
  const { rows, autoRows } = arrangement;
  const one = shareOfRows(arrangement);
  if (one === null) return { rows, autoRows };
  const shared = (size: TrackSize): TrackSize => {
    const px = plainTrackSize(size);
    return px ? `minmax(auto, ${shares(px.value, one)})` : size;
  };
  return { rows: rows.map(shared), autoRows: shared(autoRows) };
}
