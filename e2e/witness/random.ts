/** A small seeded generator of random numbers (mulberry32): the same seed, the same page. */
export interface Random {
  /** From 0, included, to 1. */
  readonly next: () => number;
  readonly int: (from: number, to: number) => number;
  readonly pick: <T>(from: readonly T[]) => T;
  readonly chance: (share: number) => boolean;
}

export function seeded(seed: number): Random {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    int: (from, to) => from + Math.floor(next() * (to - from + 1)),
    pick: (from) => from[Math.floor(next() * from.length)] as (typeof from)[number],
    chance: (share) => next() < share,
  };
}
