import { idsByBand, parentsOf, type AnyPin, type TrackIds } from './byIdentity.js';
import { pointerSegment } from '../../document/problems.js';
import type { Umpire } from './values.js';
import type { Versions } from './tiles.js';
import type { CollectionDocument, Pin, TileId } from '../../document/types.js';

/**
 * A joined document whose pins all stand on tracks that there are. A tile that one side held at a track
 * which the other side took away is asked about; held all the same, it goes to the last track.
 * @param document by identity, as `byIdentity` makes it
 */
export function settlePins(
  document: CollectionDocument,
  versions: Versions,
  umpire: Umpire,
): CollectionDocument {
  const parents = parentsOf(document);
  const idsOf = idsByBand(document);
  const settle = (pin: unknown, id: TileId, band: number, in_: (version: CollectionDocument) => unknown) => {
    const tracks = idsOf(parents.get(id) ?? null, band);
    if (stands(pin, tracks)) return pin as Pin | null | undefined;
    const bandId = document.bands[band - 1]?.id;
    const at = `/tiles/${pointerSegment(id)}`;
    const path = bandId === undefined ? `${at}/place/pin` : `/bands/${bandId}${at}/pin`;
    const of = { base: in_(versions.base), ours: in_(versions.ours), theirs: in_(versions.theirs) };
    const chosen = of[umpire.decide({ path, ...of })];
    return (stands(chosen, tracks) ? chosen : onLast(chosen as AnyPin, tracks)) as Pin | null | undefined;
  };
  const tiles = Object.fromEntries(
    Object.entries(document.tiles).map(([id, tile]) => {
      const pin = settle(tile.place.pin, id, 0, (version) => version.tiles[id]?.place.pin) ?? null;
      return [id, pin === tile.place.pin ? tile : { ...tile, place: { ...tile.place, pin } }];
    }),
  );
  const bands = document.bands.map((band, k) => ({
    ...band,
    tiles: Object.fromEntries(
      Object.entries(band.tiles).map(([id, own]) => {
        const said = (version: CollectionDocument) =>
          version.bands.find((each) => each.id === band.id)?.tiles[id]?.pin;
        const pin = own.pin === undefined ? undefined : settle(own.pin, id, k + 1, said);
        if (pin === own.pin) return [id, own];
        const { pin: _, ...others } = own;
        return [id, pin === undefined ? others : { ...others, pin }];
      }),
    ),
  }));
  return { ...document, tiles, bands };
}

const isThere = (track: unknown, ids: readonly string[]) => typeof track !== 'string' || ids.includes(track);

const stands = (pin: unknown, { columnIds, rowIds }: TrackIds): boolean =>
  typeof pin !== 'object' ||
  pin === null ||
  (isThere((pin as AnyPin).column, columnIds) && isThere((pin as AnyPin).row, rowIds));

const onLast = ({ column, row }: AnyPin, { columnIds, rowIds }: TrackIds): AnyPin => ({
  column: isThere(column, columnIds) ? column : (columnIds.at(-1) ?? { past: 1 }),
  row: isThere(row, rowIds) ? row : (rowIds.at(-1) ?? { past: 1 }),
});
