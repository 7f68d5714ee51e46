import { setGrid, type Command } from '@noria/core';
import { useState, type PointerEvent } from 'react';
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

  const cellAt = (event: PointerEvent<HTMLElement>): readonly [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    const within = (share: number, count: number) => Math.min(count, Math.max(1, Math.ceil(share * count)));
    return [
      within((event.clientX - box.left) / box.width, COLUMNS),
      within((event.clientY - box.top) / box.height, ROWS),
    ];
  };
  const point = (event: PointerEvent<HTMLElement>) => {
    const next = cellAt(event);
    if (next[0] === swept?.[0] && next[1] === swept[1]) return;
    setSwept(next);
    if (event.buttons === 1) dispatch(tryHere(command(next)));
  };
  const leave = () => {
    setSwept(null);
    dispatch(tryHere(null));
  };

  return (
    <div className="grid gap-1.5">
      <div
        role="slider"
        tabIndex={0}
        aria-label="Columns and rows"
        aria-valuemin={1}
        aria-valuemax={COLUMNS}
        aria-valuenow={wide}
        aria-valuetext={`${wide} columns, ${high} rows`}
        title="Drag to set columns × rows"
        className="grid touch-none grid-cols-12 gap-[3px] rounded-s py-0.5 outline-offset-3"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          const next = cellAt(event);
          setSwept(next);
          dispatch(tryHere(command(next)));
        }}
        onPointerMove={point}
        onPointerUp={(event) => {
          dispatch(runHere('Grid', command(cellAt(event))));
          setSwept(null);
        }}
        onPointerCancel={leave}
        onPointerLeave={(event) => event.buttons === 0 && leave()}
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
