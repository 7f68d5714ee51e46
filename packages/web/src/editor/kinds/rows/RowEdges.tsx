import { LIMITS, setOfKind, type Track } from '@noria/core';
import { useAppSelector } from '../../hooks';
import { selectBand, selectLayout, selectSetFor } from '../../selectors';
import { boxStyle, type StageSpace } from '../../stage/space';
import { useGrab } from '../../stage/useGrab';
import { isSeen, type Seen } from '../../stage/seen';

/** The lower edge of each row of a gallery: dragged, rows become as high as that one. */
export function RowEdges({ space, seen }: { space: StageSpace; seen: Seen | null }) {
  const { rows } = useAppSelector(selectLayout);
  return rows.map(
    (row, k) =>
      isSeen(seen, row.start + space.y, row.size) && (
        <RowEdge key={k} row={row} number={k + 1} space={space} />
      ),
  );
}

const THICK = 10;
const LEAST = 20;

function RowEdge({ row, number, space }: { row: Track; number: number; space: StageSpace }) {
  const layout = useAppSelector(selectLayout);
  const { index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const bind = useGrab<number>({
    begin: () => row.size,
    ask: ({ dy }, from) => {
      const target = Math.min(LIMITS.track, Math.max(LEAST, Math.round(from + dy / space.scale)));
      if (target === Math.round(from)) return null;
      return {
        key: String(target),
        name: 'Row height',
        command: () => setOfKind('rowHeights', { target }, index, setFor),
      };
    },
  });
  const box = boxStyle(space, {
    x: 0,
    y: row.start + row.size,
    inlineSize: layout.inlineSize,
    blockSize: 0,
  });
  return (
    <div
      {...bind()}
      data-testid={`row-edge-${number}`}
      title={`Row ${number}, ${Math.round(row.size)} px high. Drag to change the height of rows.`}
      className="group absolute z-[109] cursor-ns-resize touch-none"
      style={{ left: box.left, width: box.width, top: box.top - THICK / 2, height: THICK }}
    >
      <i className="absolute inset-x-0 top-1/2 h-[3px] -translate-y-1/2 bg-copper opacity-0 group-hover:opacity-100" />
    </div>
  );
}
