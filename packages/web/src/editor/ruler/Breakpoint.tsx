import { LIMITS, moveBreakpoint, removeBreakpoint, type ResolvedBand } from '@noria/core';
import { useState, type KeyboardEvent } from 'react';
import { useAppDispatch } from '../hooks';
import { useDragGesture } from '../../ui/gesture';
import { run, tryOut } from '../document/run';
import { announce } from '../../ui/notices/noticesSlice';
import { BASE, fromAxis, snapped, toAxis } from './axis';

/** How far below the ruler a breakpoint is dragged to take it off. */
const OFF = 46;

/** Where the grip begins: below the needle’s, so that both can be taken when they stand at one width. */
const GRIP = 47;

interface BreakpointProps {
  /** The band below it. */
  readonly band: ResolvedBand;
  readonly wider: ResolvedBand;
  readonly length: number;
  /** Worked out from the wider band, and not moved since. */
  readonly isDerived: boolean;
}

/** A breakpoint on the axis: dragged, moved by keys, taken off by dragging it away. */
export function Breakpoint({ band, wider, length, isDerived }: BreakpointProps) {
  const dispatch = useAppDispatch();
  const [off, setOff] = useState(false);
  const remove = () => {
    dispatch(run('Remove breakpoint', removeBreakpoint(band.index)));
    dispatch(announce(`The breakpoint at ${band.below} px was removed.`));
  };
  const bind = useDragGesture(
    ({ movement: [dx, dy], last, canceled, memo, event, tap }) => {
      event.stopPropagation();
      const start = (memo as number | undefined) ?? toAxis(band.below, length);
      if (tap) return start;
      const width = fromAxis(start + dx, length);
      const command = moveBreakpoint(band.index, event.altKey ? width : snapped(width, length));
      const isOff = Math.abs(dy) > OFF;
      setOff(isOff && !last);
      if (!last) dispatch(tryOut(isOff ? null : command));
      else if (canceled) dispatch(tryOut(null));
      else if (isOff) remove();
      else dispatch(run('Move breakpoint', command));
      return start;
    },
    { pointer: { capture: true, keys: false }, filterTaps: true, preventDefault: true },
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') remove();
    else if (by === undefined) return;
    else
      dispatch(
        run(
          'Move breakpoint',
          moveBreakpoint(band.index, band.below + by * (event.shiftKey ? 20 : 1)),
          `breakpoint ${band.id}`,
        ),
      );
    event.preventDefault();
  };
  const x = toAxis(band.below, length);
  const columns = band.columns.length;
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      aria-label={`Breakpoint between ${columns} and ${wider.columns.length} columns`}
      aria-valuemin={LIMITS.narrowest + 1}
      aria-valuemax={LIMITS.widest}
      aria-valuenow={band.below}
      aria-valuetext={`${band.below} px${isDerived ? ', derived' : ''}`}
      title={
        isDerived
          ? 'Derived from the wider band. Drag to set it by hand, with Alt by single px; drag off to remove'
          : 'Drag to move, with Alt by single px; drag off to remove'
      }
      onKeyDown={onKeyDown}
      onDoubleClick={(event) => event.stopPropagation()}
      className={`absolute z-10 h-[36px] w-[24px] -translate-x-1/2 cursor-ew-resize touch-none rounded-s ${off ? 'opacity-30' : ''}`}
      style={{ left: x, top: GRIP }}
    >
      <svg
        width="24"
        height="36"
        viewBox={`-12 ${GRIP} 24 36`}
        className="pointer-events-none overflow-visible"
        aria-hidden
      >
        <path
          d={`M0 20V${BASE + 6}`}
          stroke="var(--copper-ink)"
          {...(isDerived && { strokeDasharray: '2 2' })}
        />
        <path
          d={`M0 ${BASE}l4.500 6-4.500 6-4.500-6z`}
          fill={isDerived ? 'var(--panel)' : 'var(--copper)'}
          {...(isDerived && { stroke: 'var(--copper-ink)' })}
        />
        <text
          y={BASE + 21}
          fontSize="9.5"
          textAnchor="middle"
          fill="var(--ink-soft)"
          fontWeight="600"
          className="font-figures"
        >
          {band.below}
        </text>
      </svg>
      {off && (
        <span className="absolute top-full left-1/2 -translate-x-1/2 rounded-s bg-ink px-2 py-0.5 text-xs whitespace-nowrap text-panel">
          Release to remove
        </span>
      )}
    </div>
  );
}
