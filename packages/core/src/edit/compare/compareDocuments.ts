import { ENTRY_FIELDS } from '../../document/entries.js';
import { meetingWords } from '../join/words.js';
import { nameIn } from '../../parts/said.js';
import { same } from '../../same.js';
import type { CollectionDocument, TileId } from '../../document/types.js';

/** What is different in one thing, in words. */
export interface ChangeInWords {
  /** What it is about: “Tile “Beds””, “Band below 600 px”, “The collection”. */
  readonly of: string;
  /** What of it: “column span: 1, then 2”, “is new”. */
  readonly says: string;
}

/** What is new or gone as a whole, in the order in which it is said. */
const ENTRIES = ['bands', ...ENTRY_FIELDS] as const;

/** What says nothing to a person, or is told apart. */
const UNSAID: ReadonlySet<string> = new Set(['id', 'order', 'columnIds', 'rowIds', 'formatVersion', 'from']);

type Value = Readonly<Record<string, unknown>>;

const isObject = (value: unknown): value is Value =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A list whose entries have ids, by these; others as they are. */
function byId(value: unknown): unknown {
  if (!Array.isArray(value) || value.length === 0) return value;
  const ids = value.map((entry) => (isObject(entry) && typeof entry.id === 'string' ? entry.id : null));
  return ids.every((id) => id !== null) && new Set(ids).size === ids.length
    ? Object.fromEntries(ids.map((id, k) => [id, value[k] as unknown]))
    : value;
}

/**
 * What changed from one collection to another, in words, and in the order in which it is read: the
 * collection, its bands, its tiles, what these use. Tiles and bands are the same ones where their ids are.
 */
export function compareDocuments(before: CollectionDocument, after: CollectionDocument): ChangeInWords[] {
  const changes: ChangeInWords[] = [];
  /** Says of a value at a path what it was and what it is. */
  const say = (path: readonly string[], was: unknown, is: unknown) => {
    const pointer = ['', ...path].map((each) => each.replaceAll('~', '~0').replaceAll('/', '~1')).join('/');
    const words = meetingWords({ path: pointer, ours: was, theirs: is }, before, after);
    const said = (value: unknown, text: string) => (value === undefined ? 'unset' : text);
    const from = said(was, words.ours);
    const to = said(is, words.theirs);
    changes.push({
      of: words.of,
      says: from === to ? `${words.what}: changed` : `${words.what}: ${from}, then ${to}`,
    });
  };
  const walk = (path: readonly string[], was: unknown, is: unknown): void => {
    if (same(was, is)) return;
    const [one, other] = [byId(was), byId(is)];
    const isEntry = path.length === 2 && ENTRIES.some((name) => name === path[0]);
    if (isEntry && (was === undefined || is === undefined)) {
      const { of } = meetingWords({ path: `/${path.join('/')}`, ours: was, theirs: is }, before, after);
      changes.push({ of, says: was === undefined ? 'is new' : 'is gone' });
      return;
    }
    if (isObject(one) && isObject(other)) {
      // What was there comes first, what is new after it.
      for (const key of new Set([...Object.keys(one), ...Object.keys(other)]))
        if (!UNSAID.has(key)) walk([...path, key], one[key], other[key]);
      return;
    }
    const inside = isObject(one) ? one : isObject(other) ? other : null;
    const isList = path.length === 1 && ENTRIES.some((name) => name === path[0]);
    // A list that one of them lacks is new or gone entry by entry.
    if (inside && isList && (one === undefined || other === undefined || same(one, []) || same(other, [])))
      for (const key of Object.keys(inside))
        walk([...path, key], isObject(one) ? one[key] : undefined, isObject(other) ? other[key] : undefined);
    else say(path, was, is);
  };
  walk([], withoutEntries(before), withoutEntries(after));
  for (const name of ENTRIES) {
    walk([name], before[name] ?? {}, after[name] ?? {});
    if (name === 'tiles') changes.push(...moved(before, after));
  }
  return changes;
}

function withoutEntries(document: CollectionDocument): Value {
  const rest: Record<string, unknown> = { ...document };
  for (const name of ENTRIES) delete rest[name];
  return rest;
}

/** Tiles that come elsewhere in their level, or in another one: as few as explain the new order. */
function moved(before: CollectionDocument, after: CollectionDocument): ChangeInWords[] {
  const was = levelsOf(before);
  return [...levelsOf(after)].flatMap(([level, order]) => {
    const known = order.filter((id) => id in before.tiles);
    const stayed = new Set(longestInOrder(was.get(level) ?? [], known));
    return known
      .filter((id) => !stayed.has(id))
      .map((id): ChangeInWords => {
        const place = order.indexOf(id);
        const where =
          place === 0 ? 'comes first' : `comes after “${nameIn(after, order[place - 1] as TileId)}”`;
        const group = level === '' ? '' : ` in “${nameIn(after, level)}”`;
        return { of: `Tile “${nameIn(after, id)}”`, says: `${where}${group}` };
      });
  });
}

/** The order of each level, that of the collection by an empty id. */
const levelsOf = ({ tiles, order }: CollectionDocument): Map<TileId, readonly TileId[]> =>
  new Map([
    ['', order] as const,
    ...Object.values(tiles).flatMap((tile) =>
      tile.kind === 'group' ? [[tile.id, tile.order] as const] : [],
    ),
  ]);

/** The longest run of ids that both orders have one after the other: by the places in the first one, the longest rise (patience sorting). */
function longestInOrder(first: readonly TileId[], second: readonly TileId[]): TileId[] {
  const at = new Map(first.map((id, k) => [id, k]));
  const common = second.filter((id) => at.has(id));
  const tops: number[] = [];
  const before: number[] = [];
  const placeOf = (k: number) => at.get(common[k] as TileId) as number;
  common.forEach((_, k) => {
    let [low, high] = [0, tops.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (placeOf(tops[middle] as number) < placeOf(k)) low = middle + 1;
      else high = middle;
    }
    before[k] = low > 0 ? (tops[low - 1] as number) : -1;
    tops[low] = k;
  });
  const run: TileId[] = [];
  for (let k = tops.at(-1) ?? -1; k >= 0; k = before[k] as number) run.push(common[k] as TileId);
  return run.reverse();
}
