/** One version of a list of things that are told apart by their ids. */
type Sequence = readonly string[];

export interface JoinSequences {
  readonly base: Sequence;
  readonly ours: Sequence;
  readonly theirs: Sequence;
  /** Which of them the joined list has. */
  readonly members: ReadonlySet<string>;
  /** Which side is followed for one that both moved, each elsewhere. */
  readonly chosen: (id: string) => 'ours' | 'theirs';
}

/**
 * Joins two changes of the order of a list. What neither side moved stays in its order; what one side
 * added or moved comes after the same one as there. Where both sides put something in the same place,
 * the smaller id comes first, so that the result doesn't depend on whose side one is on.
 * @example joinSequences({ base: ['a', 'b'], ours: ['a', 'x', 'b'], theirs: ['b', 'a'], … }) // ['b', 'a', 'x']
 */
export function joinSequences({ base, ours, theirs, members, chosen }: JoinSequences): string[] {
  const [inOurs, inTheirs] = [new Set(ours), new Set(theirs)];
  const stayed = {
    ours: inOrder(base, ours),
    theirs: inOrder(base, theirs),
  };
  const isFixed = (id: string) => members.has(id) && stayed.ours.has(id) && stayed.theirs.has(id);
  /** The side whose place of an id counts. */
  const sideOf = (id: string): 'ours' | 'theirs' => {
    if (!inTheirs.has(id)) return 'ours';
    if (!inOurs.has(id)) return 'theirs';
    if (stayed.theirs.has(id)) return 'ours';
    if (stayed.ours.has(id)) return 'theirs';
    return chosen(id);
  };
  const runs = {
    ours: runsBetween(ours, isFixed, (id) => members.has(id) && sideOf(id) === 'ours'),
    theirs: runsBetween(theirs, isFixed, (id) => members.has(id) && sideOf(id) === 'theirs'),
  };
  const joined = [...merged(runs.ours.get(null), runs.theirs.get(null))];
  for (const id of base) {
    if (isFixed(id)) joined.push(id, ...merged(runs.ours.get(id), runs.theirs.get(id)));
  }
  return joined;
}

/** What comes, in one version, after each fixed one and before the next; under null what comes first. */
function runsBetween(
  list: Sequence,
  isFixed: (id: string) => boolean,
  counts: (id: string) => boolean,
): Map<string | null, string[]> {
  const runs = new Map<string | null, string[]>();
  let after: string | null = null;
  for (const id of list) {
    if (isFixed(id)) after = id;
    else if (counts(id)) runs.set(after, [...(runs.get(after) ?? []), id]);
  }
  return runs;
}

function merged(a: Sequence = [], b: Sequence = []): Sequence {
  return (a[0] ?? '') <= (b[0] ?? '') ? [...a, ...b] : [...b, ...a];
}

/**
 * The most ids of a list that come in the same order in another version of it: all others were moved
 * (longest increasing subsequence, by patience sorting).
 */
function inOrder(base: Sequence, version: Sequence): Set<string> {
  const places = new Map(base.map((id, k) => [id, k]));
  const known = version.filter((id) => places.has(id));
  const ends: number[] = [];
  const before: number[] = [];
  known.forEach((id, k) => {
    const place = places.get(id) as number;
    let [from, to] = [0, ends.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      if ((places.get(known[ends[middle] as number] as string) as number) < place) from = middle + 1;
      else to = middle;
    }
    before[k] = from > 0 ? (ends[from - 1] as number) : -1;
    ends[from] = k;
  });
  const kept = new Set<string>();
  for (let k = ends.at(-1) ?? -1; k >= 0; k = before[k] as number) kept.add(known[k] as string);
  return kept;
}
