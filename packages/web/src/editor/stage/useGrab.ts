import { useRef } from 'react';
import { useDragGesture } from '../../ui/gesture';
import { useAppDispatch } from '../hooks';
import { runHere, tryHere } from '../here';
import type { Command } from '@noria/core';

/** What a drag asks for: the same key asks for the same, so that nothing is done anew. */
export interface Ask {
  readonly key: string;
  /** The step's name in the history. */
  readonly name: string;
  readonly command: () => Command;
}

/** Where the pointer is, px of the screen. */
export interface Way {
  readonly dx: number;
  readonly dy: number;
  readonly x: number;
  readonly y: number;
  readonly event: PointerEvent;
  /** What was pressed. */
  readonly target: EventTarget | null;
}

interface Grab<Start> {
  /** What is remembered from the moment the drag begins; null: nothing is dragged. */
  readonly begin: (way: Way) => Start | null;
  /** What the pointer's way so far asks for; null: nothing. */
  readonly ask: (way: Way, start: Start) => Ask | null;
  readonly onMove?: (way: Way | null, start: Start) => void;
  readonly onTap?: (event: PointerEvent) => void;
  readonly onDone?: (ask: Ask) => void;
}

interface Held<Start> {
  readonly start: Start;
  ask: Ask | null;
}

/** Whether a point of the screen lies outside of the stage: let go there, all stays as it was. */
export function isOutside(x: number, y: number): boolean {
  const stage = document.querySelector('main');
  if (!stage) return false;
  const { left, top, right, bottom } = stage.getBoundingClientRect();
  return x < left || x > right || y < top || y > bottom;
}

/** A drag whose result is shown live, and taken when it is let go. */
export function useGrab<Start>({ begin, ask, onMove, onTap, onDone }: Grab<Start>) {
  const dispatch = useAppDispatch();
  // A result is worked out in a task of its own, so that the pointer and the frame do not wait for it.
  const next = useRef<{ asked: Ask | null; timer: number } | null>(null);
  const settle = () => {
    window.clearTimeout(next.current?.timer);
    next.current = null;
  };
  const show = (asked: Ask | null) => {
    if (next.current) {
      next.current.asked = asked;
      return;
    }
    const timer = window.setTimeout(() => {
      const latest = next.current?.asked ?? null;
      next.current = null;
      dispatch(tryHere(latest?.command() ?? null));
    });
    next.current = { asked, timer };
  };

  return useDragGesture(
    ({ movement: [dx, dy], xy: [x, y], first, last, canceled, tap, memo, event, target, cancel: stop }) => {
      event.stopPropagation();
      if (tap) {
        onTap?.(event as PointerEvent);
        return undefined;
      }
      const way: Way = { dx, dy, x, y, event: event as PointerEvent, target };
      let held = memo as Held<Start> | undefined;
      if (first || !held) {
        const start = begin({ ...way, x: x - dx, y: y - dy });
        if (start === null) {
          stop();
          return undefined;
        }
        held = { start, ask: null };
      }
      onMove?.(last ? null : way, held.start);
      const asked = canceled || isOutside(x, y) ? null : ask(way, held.start);
      if (last) {
        settle();
        dispatch(tryHere(null));
        if (asked) {
          dispatch(runHere(asked.name, asked.command()));
          onDone?.(asked);
        }
      } else if (asked?.key !== held.ask?.key) show(asked);
      held.ask = asked;
      return held;
    },
    // Not captured: what is dragged changes its place in the page with the reading order, and would lose it.
    {
      filterTaps: true,
      pointer: { capture: false, keys: false },
      preventDefault: true,
      eventOptions: { passive: false },
    },
  );
}
