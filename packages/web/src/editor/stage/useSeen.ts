import { useEffect, useMemo, useState } from 'react';
import type { Seen } from './seen';

/** Fewer tiles than these are all there at once. */
const MOST_AT_ONCE = 200;
/** What is drawn beyond the edges, and in which steps, px of the screen. */
const BEYOND = 500;
const STEP = 400;

/**
 * The stretch of the page that a scrolled element shows, in steps, so that little is drawn anew while it
 * scrolls; null where everything is drawn.
 */
export function useSeen(
  element: HTMLElement | null,
  { scale, top, height, tiles }: SeenOptions,
): Seen | null {
  const [step, setStep] = useState(0);
  const isOn = tiles > MOST_AT_ONCE;
  useEffect(() => {
    if (!isOn || !element) return undefined;
    // Read when it has scrolled, and never while a frame is made: that would lay the page out.
    const read = () => setStep(Math.floor(element.scrollTop / STEP));
    element.addEventListener('scroll', read, { passive: true });
    return () => element.removeEventListener('scroll', read);
  }, [element, isOn]);
  return useMemo(() => {
    if (!isOn || scale === 0) return null;
    const from = step * STEP - top - BEYOND;
    return { from: from / scale, to: (from + height + STEP + 2 * BEYOND) / scale };
  }, [isOn, scale, top, height, step]);
}

interface SeenOptions {
  readonly scale: number;
  /** Where the page begins in the element, and how high that is, px of the screen. */
  readonly top: number;
  readonly height: number;
  /** How many tiles there are. */
  readonly tiles: number;
}
