/**
 * Which cells of a grid are taken, line of cells by line of cells along the flow. The cross axis has
 * a fixed number of tracks; along the flow the grid grows. All indices from 0.
 */
export interface Occupancy {
  /** The first index at or after `from` where `span` × `depth` cells are free from `line`; -1: none. */
  firstFree(line: number, from: number, span: number, depth: number): number;
  take(line: number, from: number, span: number, depth: number): void;
}

/** @param tracks number of tracks across the flow, at least 1 */
export const createOccupancy = (tracks: number): Occupancy => (tracks <= 31 ? narrow(tracks) : wide(tracks));

/** A line of cells as the bits of one number. */
function narrow(tracks: number): Occupancy {
  const all = 2 ** tracks - 1;
  let lines = new Int32Array(64);
  let used = 0;
  return {
    firstFree(line, from, span, depth) {
      if (from + span > tracks) return -1;
      let taken = 0;
      const end = Math.min(line + depth, used);
      for (let l = line; l < end; l++) taken |= lines[l] as number;
      let starts = ~taken & all & (-1 << from);
      // A bit stays where `span` free cells begin; doubling reaches any span in a few steps.
      let run = 1;
      while (run < span && starts !== 0) {
        const step = Math.min(run, span - run);
        starts &= starts >>> step;
        run += step;
      }
      return starts === 0 ? -1 : 31 - Math.clz32(starts & -starts);
    },
    take(line, from, span, depth) {
      const end = line + depth;
      if (end > lines.length) {
        const grown = new Int32Array(Math.max(end, lines.length * 2));
        grown.set(lines);
        lines = grown;
      }
      const bits = (2 ** span - 1) << from;
      for (let l = line; l < end; l++) lines[l] = (lines[l] as number) | bits;
      used = Math.max(used, end);
    },
  };
}

/** A byte a cell. */
function wide(tracks: number): Occupancy {
  const lines: Uint8Array[] = [];
  const lastTaken = (line: number, from: number, span: number, depth: number): number => {
    let last = -1;
    const end = Math.min(line + depth, lines.length);
    for (let l = line; l < end; l++) {
      const cells = lines[l] as Uint8Array;
      for (let c = from + span - 1; c >= from && c > last; c--) if (cells[c] === 1) last = c;
    }
    return last;
  };
  return {
    firstFree(line, from, span, depth) {
      let at = from;
      while (at + span <= tracks) {
        const blocked = lastTaken(line, at, span, depth);
        if (blocked < 0) return at;
        at = blocked + 1;
      }
      return -1;
    },
    take(line, from, span, depth) {
      const end = line + depth;
      while (lines.length < end) lines.push(new Uint8Array(tracks));
      for (let l = line; l < end; l++) (lines[l] as Uint8Array).fill(1, from, from + span);
    },
  };
}
