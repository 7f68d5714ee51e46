/** A tile as a browser shows it, px from the one that it lies in, or from the first one. */
export interface Seen {
  readonly x: number;
  readonly y: number;
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly words: string;
}

/** Where Noria’s reading of a tile is other than the page. */
export interface Difference {
  readonly tile: string;
  /** In a few words: “12 px wider”. */
  readonly what: string;
  /** Both values: “312 × 180 px here, 300 × 180 px in the page”. */
  readonly both: string;
}

/** So far boxes may be apart, px. */
const NEAR = 1;

const px = (value: number) => String(Math.round(value));
const sizeOf = ({ inlineSize, blockSize }: Seen) => `${px(inlineSize)} × ${px(blockSize)} px`;
const plain = (words: string) => words.replace(/\s+/g, '');

/** What of the tiles of a page is other in Noria’s reading of it; tiles that neither shows are the same. */
export function differencesBetween(
  page: ReadonlyMap<string, Seen>,
  reading: ReadonlyMap<string, Seen>,
): Difference[] {
  return [...page].flatMap(([tile, there]) => {
    const here = reading.get(tile);
    const found = here ? between(there, here) : null;
    return found ? [{ tile, ...found }] : [];
  });
}

function between(there: Seen, here: Seen): Omit<Difference, 'tile'> | null {
  const sizes = `${sizeOf(here)} here, ${sizeOf(there)} in the page`;
  const wider = here.inlineSize - there.inlineSize;
  if (Math.abs(wider) > NEAR)
    return { what: `${px(Math.abs(wider))} px ${wider > 0 ? 'wider' : 'narrower'}`, both: sizes };
  const higher = here.blockSize - there.blockSize;
  if (Math.abs(higher) > NEAR)
    return { what: `${px(Math.abs(higher))} px ${higher > 0 ? 'higher' : 'lower'}`, both: sizes };
  if (plain(here.words) !== plain(there.words))
    return {
      what: 'other words',
      both: `“${short(here.words)}” here, “${short(there.words)}” in the page`,
    };
  if (Math.abs(here.x - there.x) > NEAR || Math.abs(here.y - there.y) > NEAR)
    return {
      what: 'elsewhere',
      both: `At ${px(here.x)}, ${px(here.y)} px here, at ${px(there.x)}, ${px(there.y)} px in the page`,
    };
  return null;
}

const short = (words: string) => {
  const one = words.trim().replace(/\s+/g, ' ');
  return one.length > 80 ? `${one.slice(0, 79)}…` : one;
};
