import { pointerSegments } from '../../document/problems.js';
import { nameIn } from '../../parts/said.js';
import type { CollectionDocument } from '../../document/types.js';
import type { Joined, Meeting } from './types.js';

/** A meeting in words, for the person who decides it. */
export interface MeetingWords {
  /** What it is about: “Tile “Beds””, “Band below 600 px”. */
  readonly of: string;
  /** What of it: “heading”, “column span”. */
  readonly what: string;
  readonly ours: string;
  readonly theirs: string;
}

/** What a collection was decided to be, and where two changes met, in words. */
export function meetingWords(
  { path, ours, theirs }: Pick<Meeting, 'path' | 'ours' | 'theirs'>,
  mine: CollectionDocument,
  other: CollectionDocument,
): MeetingWords {
  const segments = pointerSegments(path).slice(1);
  const { of, rest } = subject(segments, mine, other);
  const last = rest.at(-1) ?? '';
  const said = (value: unknown, of: CollectionDocument) => shownAs(value, last, of);
  return {
    of,
    what:
      last === 'after'
        ? 'place in the reading order'
        : rest.length === 0
          ? 'all of it'
          : rest
              .filter((each) => !HOLDERS.has(each))
              .map(plain)
              .join(', '),
    ours: said(ours, mine),
    theirs: said(theirs, other),
  };
}

/** Says of what was kept, although one side deleted it, what it is. */
export function keptWords({ kept }: Pick<Joined, 'kept'>, document: CollectionDocument): string[] {
  return kept.map((path) => {
    const [, field = '', id = ''] = path.split('/');
    const entry = (document as unknown as Record<string, Record<string, { name: string }> | undefined>)[
      field
    ]?.[id];
    return `${SINGLE[field] ?? 'Entry'} “${entry?.name ?? id}”`;
  });
}

/** Fields that only hold others; their names say nothing to a person. */
const HOLDERS: ReadonlySet<string> = new Set(['place', 'arrangement', 'look', 'value', 'parts', 'words']);

const SINGLE: Readonly<Record<string, string>> = {
  pictures: 'Picture',
  films: 'Film',
  icons: 'Icon',
  families: 'Type family',
  namedLooks: 'Named look',
  styles: 'Style',
  recipes: 'Recipe',
  tables: 'Table',
};

function subject(segments: readonly string[], mine: CollectionDocument, other: CollectionDocument) {
  const [first = '', id = '', third = '', inner = '', ...deeper] = segments;
  const tileName = (tile: string) => `Tile “${nameIn(mine.tiles[tile] ? mine : other, tile)}”`;
  if (first === 'tiles' && id !== '') return { of: tileName(id), rest: segments.slice(2) };
  if (first === 'bands' && id !== '') {
    const band = [...mine.bands, ...other.bands].find((each) => each.id === id);
    const of = band ? `Band below ${band.below} px` : 'Two bands at one width';
    if (['tiles', 'looks', 'groups'].includes(third) && inner !== '')
      return { of: `${tileName(inner)}, ${of.toLowerCase()}`, rest: deeper };
    return { of, rest: segments.slice(2) };
  }
  const what = SINGLE[first];
  if (what !== undefined && id !== '') {
    const all = (document: CollectionDocument) =>
      (document as unknown as Record<string, Record<string, { name: string }> | undefined>)[first]?.[id];
    return { of: `${what} “${(all(mine) ?? all(other))?.name ?? id}”`, rest: segments.slice(2) };
  }
  return { of: 'The collection', rest: segments };
}

/** `columnSpan` as “column span”. */
const plain = (field: string) => field.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

const LONGEST = 80;

/** Fields of which CSS’s word is not the one of the screen. */
const SIDES: ReadonlySet<string> = new Set(['spread', 'align', 'inline', 'block']);
const sideSaid = (value: string, field: string) =>
  SIDES.has(field) && value === 'center' ? 'centre' : value;

function shownAs(value: unknown, field: string, document: CollectionDocument): string {
  if (value === undefined) return field === 'after' || field === 'group' ? 'elsewhere' : 'deleted';
  const tile = typeof value === 'string' ? `“${nameIn(document, value)}”` : '';
  if (field === 'after') return value === null ? 'first' : `after ${tile}`;
  if (field === 'group') return value === '' ? 'in no group' : `in ${tile}`;
  if (value === null) return 'none';
  if (typeof value === 'string') return short(value === '' ? 'empty' : sideSaid(value, field));
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (Array.isArray(value))
    return short(value.map((each) => (typeof each === 'string' ? each : '…')).join(' / '));
  const { name } = value as { readonly name?: unknown };
  if (typeof name === 'string') return short(`“${name}”, changed`);
  return short(
    Object.entries(value)
      .filter(([, inner]) => typeof inner !== 'object')
      .map(([key, inner]) => `${plain(key)} ${String(inner)}`)
      .join(', ') || 'changed',
  );
}

const short = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text);
