import { same } from '../same.js';
import type { ArrangementValues, CollectionDocument, NarrowerBand, OwnPlace } from './types.js';

/** Fields that only tell the entries of another field apart, and come and go with it. */
export const IDS_OF: Readonly<Record<string, string>> = { columns: 'columnIds', rows: 'rowIds' };

type Values = Partial<ArrangementValues>;

/** Whether narrower bands are worked out from the wider one after every change. */
export const followsWider = ({ narrowerBands }: Pick<CollectionDocument, 'narrowerBands'>): boolean =>
  narrowerBands === 'derived';

/** Whether spans of a tile in a band were set by hand. */
export const isCorrected = (own: OwnPlace | undefined): boolean =>
  own !== undefined && own.derived === undefined && ('columnSpan' in own || 'rowSpan' in own);

/** Whether a value of a band's arrangement, or of a group's, is as it was derived. */
export function isDerivedValue(
  { derived, arrangement, groups }: NarrowerBand,
  field: string,
  group: string | null = null,
): boolean {
  const key = field as keyof ArrangementValues;
  const was = group === null ? derived?.arrangement : derived?.groups?.[group];
  const is = group === null ? arrangement : groups?.[group];
  return was !== undefined && key in was && same(was[key], is?.[key]);
}

/** Whether a band's breakpoint was worked out and not moved since. */
export const isDerivedBreakpoint = ({ derived, below }: NarrowerBand): boolean => derived?.below === below;

/** What a person set in a band; its breakpoint stays with it. Null: nothing, all of it was derived. */
export function correctionsOf(band: NarrowerBand): NarrowerBand | null {
  const { derived: _, groups, ...rest } = band;
  const arrangement = byHand(band, band.arrangement, null);
  const tiles = mapped(band.tiles, ({ derivedPin: __, ...own }) => {
    if (!own.derived) return own;
    const { columnSpan: ___, rowSpan: ____, derived: _____, ...others } = own;
    return others;
  });
  const inGroups = groups && mapped(groups, (own, id) => byHand(band, own, id));
  const { id: __, below: ___, arrangement: ____, tiles: _____, ...others } = rest;
  const isEmpty = [arrangement, tiles, inGroups, ...Object.values(others)].every(
    (each) => each === undefined || Object.keys(each).length === 0,
  );
  if (isEmpty && isDerivedBreakpoint(band)) return null;
  return {
    ...rest,
    arrangement,
    tiles,
    ...(inGroups && Object.keys(inGroups).length > 0 && { groups: inGroups }),
  };
}

/** The fields of a band's arrangement, or of a group's, that are as they were derived, with their ids. */
function derivedFields(band: NarrowerBand, group: string | null): ReadonlySet<string> {
  const own = (group === null ? band.arrangement : band.groups?.[group]) ?? {};
  const derived = Object.keys(own).filter((field) => isDerivedValue(band, field, group));
  return new Set(derived.flatMap((field) => [field, IDS_OF[field] ?? field]));
}

function byHand(band: NarrowerBand, own: Values, group: string | null): Values {
  const derived = derivedFields(band, group);
  return Object.fromEntries(Object.entries(own).filter(([field]) => !derived.has(field)));
}

/** Without what is left empty. */
function mapped<Entry extends object>(
  all: Readonly<Record<string, Entry>>,
  change: (entry: Entry, id: string) => Entry,
): Record<string, Entry> {
  const entries = Object.entries(all).map(([id, entry]) => [id, change(entry, id)] as const);
  return Object.fromEntries(entries.filter(([, entry]) => Object.keys(entry).length > 0));
}

/**
 * A collection without what was derived in it: only what people made. One whose bands are set by hand
 * is the same object.
 */
export function withoutDerived(document: CollectionDocument): CollectionDocument {
  if (!followsWider(document)) return document;
  return { ...document, bands: document.bands.flatMap((band) => correctionsOf(band) ?? []) };
}

/** A collection without what was derived in it, with what was derived in another version of it, until it is derived anew. */
export function withDerivedOf(document: CollectionDocument, other: CollectionDocument): CollectionDocument {
  if (!followsWider(document) || !followsWider(other)) return document;
  const byId = new Map(document.bands.map((band) => [band.id, band]));
  const taken = new Set(document.bands.map(({ below }) => below));
  const dressed = other.bands.flatMap((band): NarrowerBand[] => {
    const own = byId.get(band.id);
    byId.delete(band.id);
    if (own) return [dressedIn(own, band, document)];
    if (correctionsOf(band) !== null || taken.has(band.below)) return [];
    return [dressedIn({ id: band.id, below: band.below, arrangement: {}, tiles: {} }, band, document)];
  });
  return { ...document, bands: [...dressed, ...byId.values()].sort((a, b) => b.below - a.below) };
}

function dressedIn(own: NarrowerBand, from: NarrowerBand, { tiles }: CollectionDocument): NarrowerBand {
  const spans = Object.entries(from.tiles).flatMap(([id, theirs]) => {
    const { columnSpan = 1, rowSpan = 1, derived, derivedPin } = theirs;
    if (!Object.hasOwn(tiles, id)) return [];
    const place: OwnPlace = {
      ...own.tiles[id],
      ...(derived && !isCorrected(own.tiles[id]) && { columnSpan, rowSpan, derived }),
      ...(derivedPin !== undefined && { derivedPin }),
    };
    return Object.keys(place).length > 0 ? [[id, place] as const] : [];
  });
  const derivedOf = (all: Values | undefined, group: string | null): Values => {
    const fields = derivedFields(from, group);
    return Object.fromEntries(Object.entries(all ?? {}).filter(([field]) => fields.has(field)));
  };
  const groups = Object.entries(from.groups ?? {})
    .map(([id, all]) => [id, { ...derivedOf(all, id), ...own.groups?.[id] }] as const)
    .filter(([id, values]) => tiles[id]?.kind === 'group' && Object.keys(values).length > 0);
  return {
    ...own,
    ...(from.derived && { derived: from.derived }),
    arrangement: { ...derivedOf(from.arrangement, null), ...own.arrangement },
    tiles: { ...own.tiles, ...Object.fromEntries(spans) },
    ...((own.groups !== undefined || groups.length > 0) && {
      groups: { ...own.groups, ...Object.fromEntries(groups) },
    }),
  };
}
