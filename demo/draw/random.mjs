/** A seeded generator of numbers from 0 to 1 (mulberry32), so that every run draws the same pictures. */
export function random(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Midpoint displacement: a rough line of 2^depth + 1 heights around 0. */
export function roughLine(next, depth, roughness = 0.52) {
  let line = [next() - 0.5, next() - 0.5];
  let reach = 1;
  for (let d = 0; d < depth; d++) {
    line = line.flatMap((height, k) => {
      const after = line[k + 1];
      return after === undefined ? [height] : [height, (height + after) / 2 + (next() - 0.5) * reach];
    });
    reach *= roughness;
  }
  return line;
}
