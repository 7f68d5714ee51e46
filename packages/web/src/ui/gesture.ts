import { useDrag, type Handler, type UserDragConfig } from '@use-gesture/react';
import { useEffect, useRef } from 'react';

type Drag = Parameters<Handler<'drag'>>[0];

/** How the gesture under way is taken back; there is one at a time. */
let takeBack: (() => void) | null = null;

/** Tells gestures apart. */
let count = 0;

/** The gesture that is under way, by a number; null: none. */
export const gestureUnderWay = (): number | null => (takeBack ? count : null);

/** Keys that take back what is under way, and nothing else: Escape, undo and redo. */
const isTakingBack = ({ key, ctrlKey, metaKey }: KeyboardEvent) =>
  key === 'Escape' || ((ctrlKey || metaKey) && 'zy'.includes(key.toLowerCase()));

const onKeyDown = (event: KeyboardEvent) => {
  if (!isTakingBack(event)) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  takeBack?.();
};
const onLost = () => takeBack?.();
const onHidden = () => {
  if (document.visibilityState === 'hidden') takeBack?.();
};

function listen(does: 'addEventListener' | 'removeEventListener'): void {
  window[does]('keydown', onKeyDown as EventListener, { capture: true });
  window[does]('blur', onLost);
  window[does]('pointercancel', onLost, { capture: true });
  document[does]('visibilitychange', onHidden);
}

/**
 * Begins a gesture: Escape, undo, and losing the pointer or the window take it back, all of it.
 * @param cancel takes it back
 * @returns ends it: it was let go
 */
export function beginGesture(cancel: () => void): () => void {
  takeBack?.();
  const end = () => {
    if (takeBack !== mine) return;
    takeBack = null;
    listen('removeEventListener');
  };
  const mine = () => {
    cancel();
    end();
  };
  takeBack = mine;
  count++;
  listen('addEventListener');
  return end;
}

/**
 * A drag that is taken back, all of it, by Escape, by undo, by leaving the view, and where the pointer or
 * the window is lost: its handler hears of it once, as `canceled` and `last`.
 */
export function useDragGesture(handler: (drag: Drag) => unknown, config: UserDragConfig = {}) {
  const latest = useRef(handler);
  useEffect(() => {
    latest.current = handler;
  });
  const now = useRef<{ drag: Drag; readonly end: () => void } | null>(null);
  const cancel = () => {
    const under = now.current;
    if (!under) return;
    now.current = null;
    under.end();
    latest.current({ ...under.drag, first: false, last: true, canceled: true, tap: false });
    under.drag.cancel();
  };
  const leave = useRef(cancel);
  useEffect(() => {
    leave.current = cancel;
  });
  useEffect(() => () => leave.current(), []);

  return useDrag((drag) => {
    // What comes after it was taken back is no gesture any more.
    if (!drag.first && !now.current && !drag.tap) return drag.memo as unknown;
    if (drag.first && !drag.last) now.current = { drag, end: beginGesture(() => leave.current()) };
    if (drag.last) {
      now.current?.end();
      now.current = null;
    }
    const memo = latest.current(drag);
    if (now.current) now.current.drag = { ...drag, memo };
    return memo;
  }, config);
}
