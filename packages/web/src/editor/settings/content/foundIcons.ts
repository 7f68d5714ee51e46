/** What icons stand for, by their ids. */
export type IconTags = Readonly<Record<string, readonly string[]>>;

/** How far a word is from what is looked for: the word itself, one that begins so, one that holds it. */
const MEETINGS: readonly {
  readonly meets: (word: string, wanted: string) => boolean;
  readonly far: number;
}[] = [
  { meets: (word, wanted) => word === wanted, far: 0 },
  { meets: (word, wanted) => word.startsWith(wanted), far: 0.5 },
  { meets: (word, wanted) => word.includes(wanted), far: 3 },
];
/** Further: words that stand beside others, or behind them; tags, and tags that come later. */
const FURTHER = { perWord: 0.25, behind: 0.5, tag: 2, perTag: 0.1 } as const;

const wordsIn = (text: string) =>
  text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter(Boolean);

function distance(words: readonly string[], wanted: string): number {
  const all = words.flatMap((word, k) =>
    MEETINGS.flatMap(({ meets, far }) => (meets(word, wanted) ? [far + (k > 0 ? FURTHER.behind : 0)] : [])),
  );
  return Math.min(Infinity, ...all) + FURTHER.perWord * (words.length - 1);
}

/**
 * The icons that what is looked for may mean, the likeliest first: those that are called so before those that
 * stand for it, whole words before parts. Several words are all met.
 */
export function foundIcons(ids: readonly string[], tags: IconTags, search: string): readonly string[] {
  const wanted = wordsIn(search);
  if (wanted.length === 0) return ids;
  return ids
    .map((id) => {
      const name = wordsIn(id);
      const stands = (tags[id] ?? []).map(wordsIn);
      const far = wanted.reduce(
        (sum, word) =>
          sum +
          Math.min(
            distance(name, word),
            ...stands.map((each, k) => FURTHER.tag + k * FURTHER.perTag + distance(each, word)),
          ),
        0,
      );
      return { id, far };
    })
    .filter(({ far }) => far < Infinity)
    .toSorted((a, b) => a.far - b.far || a.id.length - b.id.length || (a.id < b.id ? -1 : 1))
    .map(({ id }) => id);
}
