import { hasCells } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectIsBegun } from '../fit/selectors';
import { selectBand, selectFrame, selectLayout } from '../selectors';
import { areaBox, boxStyle, withMoreRows, type StageSpace } from './space';

/** So many rows of cells are seen where there is nothing yet. */
const EMPTY_ROWS = 2;

/** The holes, hatched; the cells of a grid that holds nothing yet, each by itself. */
export function Holes({ space }: { space: StageSpace }) {
  const layout = useAppSelector(selectLayout);
  const { arrangement } = useAppSelector(selectBand);
  const frame = useAppSelector(selectFrame);
  const isBegun = useAppSelector(selectIsBegun);
  if (layout.tiles.length === 0) {
    if (!hasCells(arrangement.kind)) return null;
    const tracks = withMoreRows(layout, frame, Math.max(0, EMPTY_ROWS - layout.rows.length));
    return tracks.rows.flatMap((_, r) =>
      tracks.columns.map((__, c) => (
        <div
          key={`${c} ${r}`}
          className="pointer-events-none absolute rounded-[10px] border border-dashed border-faint/50"
          style={boxStyle(space, areaBox(tracks, { column: c + 1, row: r + 1, columnSpan: 1, rowSpan: 1 }))}
        />
      )),
    );
  }
  if (isBegun) return null;
  return layout.coverage.holes.map((hole) => (
    <div
      key={`${hole.column}-${hole.row}`}
      data-testid="hole"
      title={`A hole of ${hole.columnSpan} × ${hole.rowSpan} cells`}
      className="hatched pointer-events-none absolute rounded-m outline-1 -outline-offset-1 outline-doubt/50 outline-dashed"
      style={boxStyle(space, areaBox(layout, hole))}
    />
  ));
}
