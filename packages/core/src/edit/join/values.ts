import { pointerSegment } from '../../document/problems.js';
import { joinSequences } from './sequence.js';
import { same } from '../../same.js';
import type { Meeting, Side } from './types.js';

/** Decides where two sides meet, and remembers that they did. */
export interface Umpire {
  decide(meeting: Meeting): Side;
}

type Fields = Readonly<Record<string, unknown>>;

/** Values that make sense only as a whole. */
const WHOLE: ReadonlySet<string> = new Set([
  ...['pin', 'slot', 'focalPoint', 'position', 'recipe', 'areas', 'shapes', 'colours', 'sort', 'filter'],
]);

/** Lists of texts that stand for something each, once. */
const OF_NAMES: ReadonlySet<string> = new Set(['order', 'columns']);
/** Lists whose entries are told apart by all they say. */
const OF_FACTS: ReadonlySet<string> = new Set(['ignored', 'slots']);

/**
 * Joins two versions of a value: what one side changed is taken, field by field and entry by entry;
 * entries of lists are told apart by what they are, never by where they stand.
 */
export function joinValues(
  versions: { readonly base: unknown; readonly ours: unknown; readonly theirs: unknown },
  path: string,
  umpire: Umpire,
): unknown {
  const { base, ours, theirs } = versions;
  if (same(ours, theirs) || same(base, theirs)) return ours;
  if (same(base, ours)) return theirs;
  const field = path.slice(path.lastIndexOf('/') + 1);
  if (!WHOLE.has(field)) {
    if (
      isFields(ours) &&
      isFields(theirs) &&
      (base === undefined || isFields(base)) &&
      areOfOneKind(versions)
    )
      return joinFields({ base: base ?? {}, ours, theirs }, path, umpire);
    const lists = listsOf(versions, field);
    if (lists) return joinLists(lists, path, umpire);
  }
  return versions[umpire.decide({ path, ...versions })];
}

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Fields of different kinds do not go together: a gradient’s stops in a picture’s fill. */
function areOfOneKind(versions: Readonly<Record<string, unknown>>): boolean {
  const kinds = Object.values(versions).flatMap((value) => (isFields(value) ? [value.kind] : []));
  return kinds.every((kind) => kind === kinds[0] || typeof kind !== 'string');
}

function joinFields(
  versions: { readonly base: Fields; readonly ours: Fields; readonly theirs: Fields },
  path: string,
  umpire: Umpire,
): Fields {
  const { base, ours, theirs } = versions;
  const joined: Record<string, unknown> = {};
  // The order of fields as one side has it; the same for both where they are the same.
  for (const key of new Set([
    ...Object.keys(base),
    ...[...Object.keys(ours), ...Object.keys(theirs)].sort(),
  ])) {
    const own = (fields: Fields) => (Object.hasOwn(fields, key) ? fields[key] : undefined);
    const at = `${path}/${pointerSegment(key)}`;
    const value = joinValues({ base: own(base), ours: own(ours), theirs: own(theirs) }, at, umpire);
    if (value !== undefined) Object.defineProperty(joined, key, { value, ...OPEN });
  }
  return joined;
}

const OPEN = { writable: true, enumerable: true, configurable: true };

interface Entries {
  readonly ids: readonly string[];
  readonly values: ReadonlyMap<string, unknown>;
}

/** Lists by the ids of their entries; null where some have none. */
function listsOf(versions: Readonly<Record<'base' | 'ours' | 'theirs', unknown>>, field: string) {
  const idOf = (entry: unknown) => {
    if (OF_FACTS.has(field)) return JSON.stringify(entry);
    if (typeof entry === 'string') return OF_NAMES.has(field) ? entry : null;
    return isFields(entry) && typeof entry.id === 'string' ? entry.id : null;
  };
  const entries = (list: unknown): Entries | null => {
    if (!Array.isArray(list)) return null;
    const ids = list.map(idOf);
    if (ids.includes(null) || new Set(ids).size < ids.length) return null;
    return { ids: ids as string[], values: new Map(ids.map((id, k) => [id as string, list[k] as unknown])) };
  };
  const [base, ours, theirs] = [
    entries(versions.base ?? []),
    entries(versions.ours),
    entries(versions.theirs),
  ];
  return base && ours && theirs && { base, ours, theirs };
}

function joinLists(
  { base, ours, theirs }: { readonly base: Entries; readonly ours: Entries; readonly theirs: Entries },
  path: string,
  umpire: Umpire,
): unknown[] {
  const values = new Map<string, unknown>();
  for (const id of new Set([...base.ids, ...ours.ids, ...theirs.ids])) {
    const of = (entries: Entries) => entries.values.get(id);
    const at = `${path}/${pointerSegment(id)}`;
    const value = joinValues({ base: of(base), ours: of(ours), theirs: of(theirs) }, at, umpire);
    if (value !== undefined) values.set(id, value);
  }
  return joinSequences({
    base: base.ids,
    ours: ours.ids,
    theirs: theirs.ids,
    members: new Set(values.keys()),
    chosen: (id) => umpire.decide(placeMeeting(`${path}/${pointerSegment(id)}`, id, { base, ours, theirs })),
  }).map((id) => values.get(id));
}

/** Both sides moved an entry of a list, each elsewhere: what it came after. */
const placeMeeting = (
  path: string,
  id: string,
  versions: Readonly<Record<'base' | 'ours' | 'theirs', Entries>>,
): Meeting => {
  const before = ({ ids }: Entries) => ids[ids.indexOf(id) - 1] ?? null;
  const { base, ours, theirs } = versions;
  return { path: `${path}/after`, base: before(base), ours: before(ours), theirs: before(theirs) };
};
