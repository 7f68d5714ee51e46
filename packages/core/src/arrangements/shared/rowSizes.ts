import { plainTrackSize } from '../../engine/css/trackSize.js';
import type { Arrangement, TrackSize } from '../../document/types.js';

type Rows = Pick<Arrangement, 'rows' | 'autoRows'>;

/**
 * The sizes of the rows that are listed, and of all further ones, as the page has them: where rows share a
 * height that is given, their px are shares of it, and none is lower than its content. Rows that are shares
 * already are left, and those of px beside them.
 */
export function rowSizesOf({ rows, autoRows, height }: Rows & Pick<Arrangement, 'height'>): Rows {
  if (!height || height.kind === 'content' || height.rows !== 'share') return { rows, autoRows };
  const plain = [...rows, autoRows].map(plainTrackSize);
  if (plain.some((size) => size?.unit === 'fr')) return { rows, autoRows };
  const base = plain.findLast((size) => size !== null && size.value > 0)?.value ?? 1;
  const shared = (size: TrackSize): TrackSize => {
    const px = plainTrackSize(size);
    return px ? `minmax(auto, ${Number((px.value / base).toFixed(4))}fr)` : size;
  };
  return { rows: rows.map(shared), autoRows: shared(autoRows) };
}
