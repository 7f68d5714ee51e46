import { useDrag } from '@use-gesture/react';
import { useEffect, useRef } from 'react';
import { useAppDispatch } from '../../../store/hooks';
import { run, tryOut } from '../../document';
import type { Command } from '@noria/core';

interface Grab<Start> {
  /** The step's name in the history. */
  readonly name: string;
  /** What is remembered from the moment the drag begins. */
  readonly begin: () => Start;
  /** What the pointer's way so far, in px of the screen, asks for; null: nothing. */
  readonly command: (dx: number, dy: number, start: Start) => Command | null;
  readonly onMove?: (way: readonly [number, number] | null) => void;
  readonly onTap?: (event: PointerEvent) => void;
  readonly onDone?: () => void;
}

/** A drag whose result is shown live, taken when let go, and taken back by Escape. */
export function useGrab<Start>({ name, begin, command, onMove, onTap, onDone }: Grab<Start>) {
  const dispatch = useAppDispatch();
  const cancel = useRef<(() => void) | null>(null);

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !cancel.current) return;
      event.preventDefault();
      cancel.current();
    };
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true });
  }, []);

  return useDrag(
    ({ movement: [dx, dy], first, last, canceled, tap, memo, event, cancel: stop }) => {
      event.stopPropagation();
      if (tap) {
        onTap?.(event as PointerEvent);
        return undefined;
      }
      const start = first || memo === undefined ? begin() : (memo as Start);
      cancel.current = last ? null : stop;
      onMove?.(last ? null : [dx, dy]);
      const asked = canceled ? null : command(dx, dy, start);
      if (!last) dispatch(tryOut(asked));
      else if (asked) {
        dispatch(run(name, asked));
        onDone?.();
      } else dispatch(tryOut(null));
      return start;
    },
    { filterTaps: true, pointer: { capture: true, keys: false }, preventDefault: true },
  );
}
