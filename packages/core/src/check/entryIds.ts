import { isGradient } from '../look/paints.js';
import { partKindOf } from '../parts/index.js';
import { formatTrackSize } from '../engine/css/trackSize.js';
import type {
  Arrangement,
  Badge,
  CollectionDocument,
  Fill,
  FillLayer,
  Gradient,
  GradientStop,
  Part,
  Shadow,
  Tile,
  TileLook,
  TrackSize,
} from '../document/types.js';

/** Names a new entry of a list; `taken` are the ids that it must not get. */
export type NameEntry = (
  what: 'stop' | 'icon' | 'badge' | 'track' | 'part' | 'layer' | 'shadow',
  taken: ReadonlySet<string>,
) => string;

/** The first free number behind the kind of thing: the same for everyone who reads the same document. */
export const numbered: NameEntry = (what, taken) => {
  for (let k = 1; ; k++) if (!taken.has(`${what}-${k}`)) return `${what}-${k}`;
};

interface Identified {
  readonly id?: string;
}

/**
 * A document in which every entry of a list has an id: stops of gradients, icons, badges, tracks; and
 * tracks are written in their one spelling. What is complete is the same object as before.
 * @param before a document whose ids are complete; what it shares with this one is not looked into
 */
export function withEntryIds(
  document: CollectionDocument,
  name: NameEntry = numbered,
  before?: CollectionDocument,
): CollectionDocument {
  const tiles = mapped(document.tiles, (tile, id) =>
    before?.tiles[id] === tile ? tile : tileIds(tile, name),
  );
  const arrangement =
    before?.arrangement === document.arrangement
      ? document.arrangement
      : trackIds(document.arrangement, name);
  const bands = listed(document.bands, (band, k) =>
    before?.bands[k] === band
      ? band
      : changedIn(band, {
          arrangement: trackIds(band.arrangement, name),
          ...(band.groups && { groups: mapped(band.groups, (own) => trackIds(own, name)) }),
        }),
  );
  const styles =
    document.styles === undefined || document.styles === before?.styles
      ? document.styles
      : mapped(document.styles, (style) => changedIn(style, { look: lookIds(style.look, name) }));
  const recipes =
    document.recipes === undefined || document.recipes === before?.recipes
      ? document.recipes
      : mapped(document.recipes, (recipe) =>
          changedIn(recipe, {
            tiles: mapped(recipe.tiles, (tile) => tileIds(tile, name)),
            variants: listed(recipe.variants, (variant) =>
              changedIn(variant, { looks: mapped(variant.looks, (look) => lookIds(look, name)) }),
            ),
          }),
        );
  const tables =
    document.tables === undefined || document.tables === before?.tables
      ? document.tables
      : mapped(document.tables, (table) =>
          changedIn(table, {
            aside: mapped(table.aside, (tiles) => listed(tiles, (tile) => tileIds(tile, name))),
          }),
        );
  return changedIn(document, {
    tiles,
    arrangement,
    bands,
    ...(styles && { styles }),
    ...(recipes && { recipes }),
    ...(tables && { tables }),
  });
}

function tileIds(tile: Tile, name: NameEntry): Tile {
  return changedIn(tile, {
    look: lookIds(tile.look, name),
    ...(tile.badges && { badges: entryIds<Badge>(tile.badges, 'badge', name) }),
    ...(tile.kind === 'card' && { parts: partIds(tile.parts, name) }),
    ...(tile.kind === 'group' && { arrangement: trackIds(tile.arrangement, name) }),
  });
}

const partIds = (parts: readonly Part[], name: NameEntry): readonly Part[] =>
  listed(entryIds<Part>(parts, 'part', name), (part) => {
    const { entries } = partKindOf(part);
    if (!entries) return part;
    const all = (part as unknown as Record<string, readonly Identified[]>)[entries.field] ?? [];
    return changedIn(part, { [entries.field]: entryIds(all, entries.what, name) });
  });

function lookIds<Look extends Partial<TileLook>>(look: Look, name: NameEntry): Look {
  const { fill, over, border, outerShadow, innerShadow } = look;
  return changedIn(look, {
    ...(fill !== undefined && { fill: fillIds(fill, name) }),
    ...(over && {
      over: listed(entryIds<FillLayer>(over, 'layer', name), (layer) =>
        changedIn(layer, { fill: fillIds(layer.fill, name) }),
      ),
    }),
    ...(border && { border: changedIn(border, { paint: fillIds(border.paint, name) }) }),
    ...(outerShadow && { outerShadow: shadowIds(outerShadow, name) }),
    ...(innerShadow && { innerShadow: shadowIds(innerShadow, name) }),
  } as Partial<Look>);
}

const isSeveral = (shadow: Shadow | readonly Shadow[]): shadow is readonly Shadow[] => Array.isArray(shadow);

/** One shadow alone needs no id. */
const shadowIds = (shadow: Shadow | readonly Shadow[], name: NameEntry) =>
  isSeveral(shadow) ? entryIds<Shadow>(shadow, 'shadow', name) : shadow;

function fillIds<F extends Fill>(fill: F, name: NameEntry): F {
  const whole: Fill = fill;
  if (isGradient(whole)) return stopIds(whole, name) as F;
  if (typeof whole !== 'object' || !('tint' in whole) || !isGradient(whole.tint)) return fill;
  return changedIn(whole, { tint: stopIds(whole.tint, name) }) as F;
}

const stopIds = (gradient: Gradient, name: NameEntry): Gradient =>
  changedIn(gradient, { stops: entryIds<GradientStop>(gradient.stops, 'stop', name) });

/** An arrangement whose tracks are written in their one spelling and have an id each. */
function trackIds<Own extends Partial<Arrangement>>(own: Own, name: NameEntry): Own {
  return changedIn(own, {
    ...(own.columns && { columns: listed(own.columns, spelled) }),
    ...(own.rows && { rows: listed(own.rows, spelled) }),
    ...(own.autoRows !== undefined && { autoRows: spelled(own.autoRows) }),
    ...(own.columns && { columnIds: idsFor(own.columns.length, own.columnIds ?? [], name) }),
    // Most grids have no rows of their own.
    ...(own.rows &&
      (own.rows.length > 0 || own.rowIds) && { rowIds: idsFor(own.rows.length, own.rowIds ?? [], name) }),
  } as Partial<Own>);
}

const spelled = (size: TrackSize): TrackSize => formatTrackSize(size) ?? size;

/** The ids of so many tracks: those that there are, empty and repeated ones named anew. */
function idsFor(count: number, ids: readonly string[], name: NameEntry): readonly string[] {
  const taken = new Set<string>();
  const named = Array.from({ length: count }, (_, k) => {
    const id = ids[k] ?? '';
    const own = id === '' || taken.has(id) ? name('track', new Set([...taken, ...ids])) : id;
    taken.add(own);
    return own;
  });
  return named.length === ids.length && named.every((id, k) => id === ids[k]) ? ids : named;
}

function entryIds<Entry extends Identified>(
  entries: readonly Entry[],
  what: Parameters<NameEntry>[0],
  name: NameEntry,
): readonly Entry[] {
  const ids = idsFor(
    entries.length,
    entries.map(({ id }) => id ?? ''),
    (_, taken) => name(what, taken),
  );
  return listed(entries, (entry, k) => (entry.id === ids[k] ? entry : { ...entry, id: ids[k] as string }));
}

function mapped<Entry>(
  all: Readonly<Record<string, Entry>>,
  change: (entry: Entry, key: string) => Entry,
): Readonly<Record<string, Entry>> {
  let altered: Record<string, Entry> | null = null;
  for (const key of Object.keys(all)) {
    const entry = all[key] as Entry;
    const made = change(entry, key);
    if (made !== entry) (altered ??= { ...all })[key] = made;
  }
  return altered ?? all;
}

function listed<Entry>(all: readonly Entry[], change: (entry: Entry, k: number) => Entry): readonly Entry[] {
  const made = all.map(change);
  return made.some((entry, k) => entry !== all[k]) ? made : all;
}

/** The same object where nothing of it changes. */
function changedIn<Whole extends object>(whole: Whole, changes: Partial<Whole>): Whole {
  const keys = Object.keys(changes) as (keyof Whole)[];
  return keys.every((key) => whole[key] === changes[key]) ? whole : { ...whole, ...changes };
}
