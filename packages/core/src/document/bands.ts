import { followsWider, isDerivedValue } from './derived.js';
import { LIMITS } from './limits.js';
import type {
  Arrangement,
  CollectionDocument,
  Fit,
  NarrowerBand,
  OwnPlace,
  Pin,
  Tile,
  TileId,
  WholePlace,
} from './types.js';

/** A band with everything it inherits worked out; its arrangement is as it is written, whatever its kind. */
export interface Band {
  /** 0 is the widest. */
  readonly index: number;
  readonly id: string;
  /** Narrowest width of the band, in px, itself included; 0 for the narrowest band. */
  readonly from: number;
  /** The breakpoint that ends it, itself not included; Infinity for the widest band. */
  readonly below: number;
  /** The width that is meant where something depends on it, px. */
  readonly at: number;
  readonly arrangement: Arrangement;
}

export const WIDEST_BAND_ID = 'widest';

/** Every band from wide to narrow, each with its own values over those of the next wider one. */
export function bandsOf(document: CollectionDocument): readonly Band[] {
  const { bands } = document;
  let arrangement = document.arrangement;
  const all: Band[] = [
    {
      index: 0,
      id: WIDEST_BAND_ID,
      from: bands[0]?.below ?? 0,
      below: Infinity,
      at: LIMITS.widest,
      arrangement,
    },
  ];
  bands.forEach((band, k) => {
    arrangement = { ...arrangement, ...band.arrangement };
    all.push({
      index: k + 1,
      id: band.id,
      from: bands[k + 1]?.below ?? 0,
      below: band.below,
      at: band.below - 1,
      arrangement,
    });
  });
  return all;
}

/** A band's arrangement as it is inherited, with the columns that are listed, whatever its kind. */
export function inheritedArrangement(document: CollectionDocument, index: number): Arrangement {
  return document.bands
    .slice(0, index)
    .reduce((arrangement, band) => ({ ...arrangement, ...band.arrangement }), document.arrangement);
}

/**
 * The band of an index; 0 is the widest.
 * @throws RangeError when there is no such band
 */
export function bandOf(document: CollectionDocument, index: number): Band {
  const band = bandsOf(document)[index];
  if (!band) throw new RangeError(`There is no band ${index}; the narrowest is ${document.bands.length}.`);
  return band;
}

/** The band that a width in px lies in, as it is at that width. */
export function bandAt(document: CollectionDocument, width: number): Band {
  const band = bandsOf(document).findLast((each) => width < each.below) as Band;
  return { ...band, at: width };
}

export const STRETCHES: Fit = { inline: 'stretch', block: 'stretch', inlineSize: null, blockSize: null };

const NO_BREAK = { breakBefore: false, slot: null } as const;

/** What is said of a tile's pin for a band: by it or the next wider one that says something. */
export interface SaidPin {
  /** Null: it flows. */
  readonly pin: Pin | null;
  /** Index of the band that says so. */
  readonly by: number;
  /** What was worked out for the band where it inherits a pin; left out: the pin holds as it is. */
  readonly derived?: Pin | null;
  /** How many columns the band lists. */
  readonly columns: number;
}

/** The pin that is meant for a tile in a band, whether it can be held there or not. */
export function saidPin(document: CollectionDocument, tile: Tile, bandIndex: number): SaidPin {
  let said: SaidPin = { pin: tile.place.pin, by: 0, columns: document.arrangement.columns.length };
  for (let k = 1; k <= bandIndex; k++) {
    const { tiles, arrangement } = document.bands[k - 1] as NarrowerBand;
    const own = tiles[tile.id];
    const { derived: _, ...inherited } = said;
    said = {
      ...inherited,
      columns: arrangement.columns?.length ?? said.columns,
      ...(own?.pin !== undefined && { pin: own.pin, by: k }),
      ...(own?.pin === undefined && own?.derivedPin !== undefined && { derived: own.derivedPin }),
    };
  }
  return said;
}

/** The pin that holds a tile in a band: its own, or an inherited one where its column is there. */
function pinOf({ pin, by, derived, columns }: SaidPin, bandIndex: number): Pin | null {
  if (derived !== undefined) return derived;
  return pin && (by === bandIndex || pin.column <= columns) ? pin : null;
}

/** The pin that a tile has in a wider band, where it can't be held at it in this one; null where nothing is lost. */
export function lostPin(document: CollectionDocument, tile: Tile, bandIndex: number): Pin | null {
  const said = saidPin(document, tile, bandIndex);
  return pinOf(said, bandIndex) === null ? said.pin : null;
}

/**
 * Where a tile sits in a band. Everything is inherited from the next wider band that sets it: a pin
 * where its column is there, with the columns that are left from there on. A slot is not: its modules
 * mean something else where there are fewer.
 */
export function placeIn(document: CollectionDocument, tile: Tile, bandIndex: number): WholePlace {
  let place: WholePlace = {
    area: null,
    fit: STRETCHES,
    layer: 0,
    order: 0,
    hidden: false,
    ...NO_BREAK,
    ...tile.place,
  };
  let isPinned = place.pin !== null;
  for (const band of document.bands.slice(0, bandIndex)) {
    const own = band.tiles[tile.id];
    place = { ...place, ...own, slot: own?.slot ?? null };
    isPinned ||= Boolean(own?.pin);
  }
  if (!isPinned || bandIndex === 0) return place;
  const said = saidPin(document, tile, bandIndex);
  const pin = pinOf(said, bandIndex);
  const room = pin && said.by !== bandIndex ? Math.max(1, said.columns - pin.column + 1) : Infinity;
  return { ...place, pin, columnSpan: Math.min(place.columnSpan, room) };
}

/**
 * Whether this band itself sets the value, rather than inheriting it. The widest band sets all. What is
 * derived anew with every change is set by nobody.
 */
export function isSetHere(
  document: CollectionDocument,
  bandIndex: number,
  value: { readonly tile: TileId; readonly of: keyof OwnPlace } | { readonly of: keyof Arrangement },
): boolean {
  const band = document.bands[bandIndex - 1];
  if (!band) return false;
  const own = 'tile' in value ? band.tiles[value.tile] : band.arrangement;
  if (own === undefined || !(value.of in own)) return false;
  if (!followsWider(document)) return true;
  if (!('tile' in value)) return !isDerivedValue(band, value.of);
  return !(band.tiles[value.tile]?.derived && (value.of === 'columnSpan' || value.of === 'rowSpan'));
}

export interface ShownTile {
  readonly tile: Tile;
  readonly place: WholePlace;
}

/** The tiles of a level that show in a band, in the order in which they are seen. */
export function shownTiles(document: CollectionDocument, band: Pick<Band, 'index'>): ShownTile[] {
  const shown = document.order.flatMap((id): ShownTile[] => {
    const tile = document.tiles[id] as Tile;
    const place = placeIn(document, tile, band.index);
    return place.hidden ? [] : [{ tile, place }];
  });
  return shown.some(({ place }) => place.order !== 0)
    ? shown.sort((a, b) => a.place.order - b.place.order)
    : shown;
}
