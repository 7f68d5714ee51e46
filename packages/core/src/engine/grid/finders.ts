import type { Occupancy } from './occupancy.js';

/** Answers where an item goes: its index across the flow (`held`, unless that is -1) and along it. */
export type Finder = (held: number, span: number, depth: number) => readonly [cross: number, line: number];

/** Room after the item before, line by line (CSS Grid 2, section 8.5, sparse packing). */
export function sparseFinder(taken: Occupancy): Finder {
  let cross = 0;
  let line = 0;
  return (held, span, depth) => {
    if (held >= 0) {
      if (held < cross) line++;
      while (taken.firstFree(line, held, span, depth) !== held) line++;
      cross = held;
    } else {
      let found = taken.firstFree(line, cross, span, depth);
      while (found < 0) found = taken.firstFree(++line, 0, span, depth);
      cross = found;
    }
    return [cross, line];
  };
}

/**
 * Room anywhere from the start. It remembers, for every size of item, where it last found room: cells are
 * only ever taken, so nothing of that size fits earlier. That makes it linear in the cells for each
 * distinct size.
 */
export function denseFinder(taken: Occupancy): Finder {
  const lastLines = new Map<number, Map<number, number>>();
  return (held, span, depth) => {
    const key = (held + 1) * 1e8 + span;
    let byDepth = lastLines.get(key);
    if (!byDepth) lastLines.set(key, (byDepth = new Map<number, number>()));
    let line = byDepth.get(depth) ?? 0;
    const from = Math.max(0, held);
    const fits = (found: number) => (held >= 0 ? found === held : found >= 0);
    let found = taken.firstFree(line, from, span, depth);
    while (!fits(found)) found = taken.firstFree(++line, from, span, depth);
    byDepth.set(depth, line);
    return [found, line];
  };
}
