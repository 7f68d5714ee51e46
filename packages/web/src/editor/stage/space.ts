import {
  plainTrackSize,
  type MeasuredArrangement,
  type GridArea,
  type Layout,
  type Track,
} from '@noria/core';

/** How the layout's px of a level lie on the stage. */
export interface StageSpace {
  readonly scale: number;
  /** From the page's edges to the level's border box; px of the layout. */
  readonly x: number;
  readonly y: number;
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
}

/** A rectangle of the layout as a style on the stage. */
export function boxStyle({ scale, x, y }: StageSpace, box: Box) {
  return {
    left: (box.x + x) * scale,
    top: (box.y + y) * scale,
    width: box.inlineSize * scale,
    height: box.blockSize * scale,
  };
}

type Tracks = Pick<Layout, 'columns' | 'rows'>;

/** The cells of an area as a rectangle of the layout. */
export function areaBox({ columns, rows }: Tracks, area: GridArea): Box {
  const along = (tracks: readonly Track[], line: number, span: number): [number, number] => {
    const first = tracks[line - 1];
    const last = tracks[line + span - 2];
    return first && last ? [first.start, last.start + last.size - first.start] : [0, 0];
  };
  const [x, inlineSize] = along(columns, area.column, area.columnSpan);
  const [y, blockSize] = along(rows, area.row, area.rowSpan);
  return { x, y, inlineSize, blockSize };
}

/** A row's size where there is none yet, px. */
const NEW_ROW = 120;

/** The tracks with rows that are not there yet, so that one can draw on them. */
export function withMoreRows(
  layout: Layout,
  { autoRows, rowGap, padding }: MeasuredArrangement,
  more: number,
): Tracks {
  const common = plainTrackSize(autoRows);
  const size = common?.unit === 'px' ? common.value : (layout.rows.at(-1)?.size ?? NEW_ROW);
  const rows = [...layout.rows];
  for (let k = 0; k < more; k++) {
    const last = rows.at(-1);
    rows.push({ start: last ? last.start + last.size + rowGap : padding.blockStart, size });
  }
  return { columns: layout.columns, rows };
}

/** The cell at a point of the layout; null in gaps and padding. 1-based. */
export function cellAt(
  { columns, rows }: Tracks,
  x: number,
  y: number,
): { column: number; row: number } | null {
  const within = (tracks: readonly Track[], at: number) =>
    tracks.findIndex(({ start, size }) => at >= start && at < start + size) + 1;
  const [column, row] = [within(columns, x), within(rows, y)];
  return column > 0 && row > 0 ? { column, row } : null;
}

/** The cell nearest to a point of the layout. */
export function nearestCell(
  { columns, rows }: Tracks,
  x: number,
  y: number,
): { column: number; row: number } {
  const nearest = (tracks: readonly Track[], at: number) => {
    let best = 0;
    let least = Infinity;
    tracks.forEach(({ start, size }, k) => {
      const away = Math.max(start - at, at - start - size, 0);
      if (away < least) [least, best] = [away, k];
    });
    return best + 1;
  };
  return { column: nearest(columns, x), row: nearest(rows, y) };
}

/** The area from one cell to another. */
export function areaBetween(
  a: { column: number; row: number },
  b: { column: number; row: number },
): GridArea {
  const column = Math.min(a.column, b.column);
  const row = Math.min(a.row, b.row);
  return {
    column,
    row,
    columnSpan: Math.abs(a.column - b.column) + 1,
    rowSpan: Math.abs(a.row - b.row) + 1,
  };
}

/** Whether any of the tiles takes a cell. */
export const isTaken = (tiles: readonly GridArea[], { column, row }: { column: number; row: number }) =>
  tiles.some(
    (tile) =>
      column >= tile.column &&
      column < tile.column + tile.columnSpan &&
      row >= tile.row &&
      row < tile.row + tile.rowSpan,
  );
