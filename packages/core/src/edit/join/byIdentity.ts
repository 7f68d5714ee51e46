import type { Arrangement, CollectionDocument, Pin, Tile, TileId } from '../../document/types.js';

/**
 * A document in which what is said by position is said by identity: tracks are entries with ids, and a
 * pin names the tracks that it stands on. So a track that one side inserts moves nothing of what the
 * other side set. Arrangements and pins of the plain form are put back by `byPosition`.
 */
export function byIdentity(document: CollectionDocument): CollectionDocument {
  return converted(document, identified, (pin, tracks) => ({
    column: trackAt(pin.column, tracks.columnIds),
    row: trackAt(pin.row, tracks.rowIds),
  }));
}

/** The plain form of a document that `byIdentity` made, joined or not. */
export function byPosition(document: CollectionDocument): CollectionDocument {
  // Tracks are put back last: pins look their tracks up.
  return converted(document, positioned, (pin, tracks) => ({
    column: positionOf(pin.column, tracks.columnIds),
    row: positionOf(pin.row, tracks.rowIds),
  }));
}

export interface TrackIds {
  readonly columnIds: readonly string[];
  readonly rowIds: readonly string[];
}
type Own = Partial<Arrangement>;
export type AnyPin = Readonly<Record<keyof Pin, unknown>>;

function converted(
  document: CollectionDocument,
  arrangementTo: (own: Own) => Own,
  pinTo: (pin: AnyPin, tracks: TrackIds) => AnyPin,
): CollectionDocument {
  const parents = parentsOf(document);
  const idsOf = idsByBand(document);
  const toPin = (pin: unknown, id: TileId, band: number) =>
    typeof pin === 'object' && pin !== null
      ? pinTo(pin as AnyPin, idsOf(parents.get(id) ?? null, band))
      : pin;
  const tiles = Object.fromEntries(
    Object.entries(document.tiles).map(([id, tile]) => [
      id,
      {
        ...tile,
        place: { ...tile.place, pin: toPin(tile.place.pin, id, 0) },
        ...(tile.kind === 'group' && { arrangement: arrangementTo(tile.arrangement) }),
      } as Tile,
    ]),
  );
  const bands = document.bands.map((band, k) => ({
    ...band,
    arrangement: arrangementTo(band.arrangement),
    ...(band.groups && {
      groups: Object.fromEntries(Object.entries(band.groups).map(([id, own]) => [id, arrangementTo(own)])),
    }),
    tiles: Object.fromEntries(
      Object.entries(band.tiles).map(([id, own]) => [
        id,
        own.pin === undefined ? own : { ...own, pin: toPin(own.pin, id, k + 1) as Pin | null },
      ]),
    ),
  }));
  const arrangement = arrangementTo(document.arrangement) as Arrangement;
  return { ...document, arrangement, tiles, bands };
}

interface Track {
  readonly id: string;
  readonly size: string;
}

function identified(own: Own): Own {
  const tracks = (sizes: readonly string[], ids: readonly string[] = []): readonly Track[] =>
    sizes.map((size, k) => ({ id: ids[k] ?? `track-${k + 1}`, size }));
  const { columnIds, rowIds, ...others } = own;
  return {
    ...others,
    ...(own.columns && { columns: tracks(own.columns, columnIds) as unknown as string[] }),
    ...(own.rows && { rows: tracks(own.rows, rowIds) as unknown as string[] }),
  };
}

function positioned(own: Own): Own {
  const tracksOf = (list: readonly string[]) => list as unknown as readonly Track[];
  return {
    ...own,
    ...(own.columns && {
      columns: tracksOf(own.columns).map(({ size }) => size),
      columnIds: tracksOf(own.columns).map(({ id }) => id),
    }),
    ...(own.rows && { rows: tracksOf(own.rows).map(({ size }) => size) }),
    ...(own.rows && own.rows.length > 0 && { rowIds: tracksOf(own.rows).map(({ id }) => id) }),
  };
}

/** The group that each tile lies in; those of the collection itself are left out. */
export function parentsOf({ tiles }: CollectionDocument): Map<TileId, TileId> {
  const parents = new Map<TileId, TileId>();
  for (const tile of Object.values(tiles)) {
    if (tile.kind === 'group') for (const id of tile.order) parents.set(id, tile.id);
  }
  return parents;
}

/** The ids of the tracks of a level, the collection or a group, in a band, as inherited; in either form. */
export function idsByBand(document: CollectionDocument): (group: TileId | null, band: number) => TrackIds {
  const known = new Map<string, TrackIds>();
  const work = (group: TileId | null, band: number): TrackIds => {
    const tile = group === null ? undefined : document.tiles[group];
    const widest = group === null ? document.arrangement : tile?.kind === 'group' ? tile.arrangement : {};
    const narrower = document.bands
      .slice(0, band)
      .map((each) => (group === null ? each.arrangement : (each.groups?.[group] ?? {})));
    const own = Object.assign({}, widest, ...narrower) as Own;
    const ids = (tracks: readonly unknown[] = [], apart: readonly string[] = []) =>
      tracks.map((track, k) =>
        typeof track === 'object' && track !== null ? (track as Track).id : (apart[k] ?? `track-${k + 1}`),
      );
    return { columnIds: ids(own.columns, own.columnIds), rowIds: ids(own.rows, own.rowIds) };
  };
  return (group, band) => {
    const key = `${band} ${group ?? ''}`;
    const found = known.get(key) ?? work(group, band);
    known.set(key, found);
    return found;
  };
}

/** The track that begins at a line; past the last one, how far. */
const trackAt = (line: unknown, ids: readonly string[]): unknown =>
  typeof line !== 'number' ? line : (ids[line - 1] ?? { past: line - ids.length });

/** The line at which a track begins. */
function positionOf(track: unknown, ids: readonly string[]): unknown {
  if (typeof track === 'object' && track !== null && 'past' in track) return ids.length + Number(track.past);
  return typeof track === 'string' ? ids.indexOf(track) + 1 : track;
}
