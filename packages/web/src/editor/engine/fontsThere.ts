import { useSyncExternalStore } from 'react';
import { loadFonts } from './measurer';

const LONGEST_WAIT_MS = 4000;

let there = false;
const told = new Set<() => void>();

/** Fetches the fonts; words are shown in others until then, but not measured. */
export async function fetchFonts(): Promise<void> {
  // Words are measured from the first layout on, so their fonts come before it; but not at any price.
  await Promise.race([
    loadFonts(document.fonts),
    new Promise((resolve) => window.setTimeout(resolve, LONGEST_WAIT_MS)),
  ]);
  there = true;
  told.forEach((tell) => tell());
}

/** Whether words can be measured. */
export const useFontsThere = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      told.add(tell);
      return () => told.delete(tell);
    },
    () => there,
  );
