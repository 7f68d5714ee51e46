import type { Layout } from '@noria/core';

/** How the layout's px lie on the stage. */
export interface StageSpace {
  readonly scale: number;
  /** From the page's edge to the grid's, when the grid has a maximum width; px of the layout. */
  readonly offset: number;
}

/** A rectangle of the layout as a style on the stage. */
export function boxStyle(
  { scale, offset }: StageSpace,
  box: { readonly x: number; readonly y: number; readonly inlineSize: number; readonly blockSize: number },
) {
  return {
    left: (box.x + offset) * scale,
    top: box.y * scale,
    width: box.inlineSize * scale,
    height: box.blockSize * scale,
  };
}

/** The cells of an area as a rectangle of the layout. */
export function areaBox(
  layout: Layout,
  area: { column: number; row: number; columnSpan: number; rowSpan: number },
) {
  const first = { column: layout.columns[area.column - 1], row: layout.rows[area.row - 1] };
  const last = {
    column: layout.columns[area.column + area.columnSpan - 2],
    row: layout.rows[area.row + area.rowSpan - 2],
  };
  const x = first.column?.start ?? 0;
  const y = first.row?.start ?? 0;
  return {
    x,
    y,
    inlineSize: (last.column ? last.column.start + last.column.size : x) - x,
    blockSize: (last.row ? last.row.start + last.row.size : y) - y,
  };
}
