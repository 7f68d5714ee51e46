import { setGrid, type Command } from '@noria/core';
import { useRef, useState } from 'react';
import { useDragGesture } from '../../ui/gesture';
import { useAppDispatch, useAppSelector } from '../hooks';
import { runHere, tryHere } from '../here';
import { selectBand, selectLayout, selectSetFor } from '../selectors';

const COLUMNS = 12;
const ROWS = 6;

/** Columns × rows swept out in one drag: the grid on the stage follows while one sweeps. */
export function GridMatrix() {
  const dispatch = useAppDispatch();
  const band = useAppSelector(selectBand);
  const layout = useAppSelector(selectLayout);
  const setFor = useAppSelector(selectSetFor);
  const [swept, setSwept] = useState<readonly [number, number] | null>(null);
  const { columns } = band.arrangement;
  const rows = Math.max(band.arrangement.rows.length, layout.rows.length);
  const [wide, high] = swept ?? [columns.length, rows];
  const command = ([c, r]: readonly [number, number]): Command => setGrid(c, r, band.index, setFor);

  const cells = useRef<HTMLDivElement>(null);
  const cellAt = (x: number, y: number): readonly [number, number] => {
    const { left, top, width, height } = cells.current?.getBoundingClientRect() ?? new DOMRect();
    const within = (share: number, count: number) => Math.min(count, Math.max(1, Math.ceil(share * count)));
    return [within((x - left) / width, COLUMNS), within((y - top) / height, ROWS)];
  };
  const bind = useDragGesture(
    ({ xy, last, canceled, memo }) => {
      const next = cellAt(...xy);
      setSwept(last ? null : next);
      if (canceled) dispatch(tryHere(null));
      else if (last) dispatch(runHere('Grid', command(next)));
      else if (next.join() !== memo) dispatch(tryHere(command(next)));
      return next.join();
    },
    { pointer: { capture: true, keys: false } },
  );

  return (
    <div className="grid gap-1.5">
      <div
        {...bind()}
        ref={cells}
        role="slider"
        tabIndex={0}
        aria-label="Columns and rows"
        aria-valuemin={1}
        aria-valuemax={COLUMNS}
        aria-valuenow={wide}
        aria-valuetext={`${wide} columns, ${high} rows`}
        title="Drag to set columns × rows"
        className="grid touch-none grid-cols-12 gap-[3px] rounded-s py-0.5 outline-offset-3"
        // Beside the drag’s own.
        onPointerMoveCapture={(event) =>
          event.buttons === 0 && setSwept(cellAt(event.clientX, event.clientY))
        }
        onPointerLeave={(event) => event.buttons === 0 && setSwept(null)}
        onKeyDown={(event) => {
          const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
            event.key
          ];
          if (!by) return;
          event.preventDefault();
          const next = [
            Math.max(1, columns.length + (by[0] as number)),
            Math.max(1, rows + (by[1] as number)),
          ] as const;
          dispatch(runHere('Grid', command(next), 'grid keys'));
        }}
      >
        {Array.from({ length: COLUMNS * ROWS }, (_, k) => {
          const [c, r] = [(k % COLUMNS) + 1, Math.floor(k / COLUMNS) + 1];
          const inside = c <= wide && r <= high;
          return (
            <i
              key={k}
              className={`h-[11px] rounded-[2px] ${inside ? (swept ? 'bg-copper' : 'bg-[var(--water-3)]') : 'bg-field'}`}
            />
          );
        })}
      </div>
      <p className="text-[11.5px] text-soft">
        <b className="figures text-ink">
          {wide} × {high}
        </b>{' '}
        {swept ? 'drag, then release' : 'drag to set columns and rows'}
      </p>
    </div>
  );
}
