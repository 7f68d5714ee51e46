import { LIMITS } from '@noria/core';
import type { KeyboardEvent } from 'react';
import { useDragGesture } from '../../ui/gesture';
import { useAppDispatch, useAppSelector } from '../hooks';
import { needleMoved, swept } from '../editorSlice';
import { selectNeedle } from '../selectors';
import { BASE, fromAxis, toAxis } from './axis';

/** The bucket that is dragged through the widths. */
export function Needle({ length }: { length: number }) {
  const dispatch = useAppDispatch();
  const needle = useAppSelector(selectNeedle);
  const bind = useDragGesture(
    ({ movement: [dx], first, last, canceled, memo, event }) => {
      event.stopPropagation();
      const start = (memo as number | undefined) ?? needle;
      if (first) dispatch(swept(true));
      dispatch(needleMoved(canceled ? start : fromAxis(toAxis(start, length) + dx, length)));
      if (last) dispatch(swept(false));
      return start;
    },
    { pointer: { capture: true, keys: false }, preventDefault: true },
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -100, PageUp: 100 }[
      event.key
    ];
    if (by !== undefined) dispatch(needleMoved(needle + by * (event.shiftKey ? 20 : 1)));
    else if (event.key === 'Home') dispatch(needleMoved(LIMITS.narrowest));
    else if (event.key === 'End') dispatch(needleMoved(LIMITS.widest));
    else return;
    event.preventDefault();
  };
  const x = toAxis(needle, length);
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      aria-label="Needle: the width shown"
      aria-valuemin={LIMITS.narrowest}
      aria-valuemax={LIMITS.widest}
      aria-valuenow={needle}
      aria-valuetext={`${needle} px`}
      onKeyDown={onKeyDown}
      className="absolute top-0 z-20 h-[36px] w-[24px] -translate-x-1/2 cursor-ew-resize touch-none rounded-s"
      style={{ left: x }}
    >
      <svg
        width="22"
        height="64"
        viewBox="-11 0 22 64"
        className="pointer-events-none overflow-visible"
        aria-hidden
      >
        <path d={`M0 4V${BASE + 3}`} stroke="var(--copper)" strokeWidth="2" />
        <path d="M-8 2h16l-2.500 9a3 3 0 0 1-3 2h-5a3 3 0 0 1-3-2z" fill="var(--copper)" />
      </svg>
    </div>
  );
}
