import { familiesOf } from '../parts/families.js';
import { partKindOf } from '../parts/index.js';
import { looksOfBands } from '../document/bandLooks.js';
import {
  filmsIn,
  iconsIn,
  namedLooksIn,
  namedLooksOf,
  picturesIn,
  usedOf,
  usesOfBands,
} from '../parts/uses.js';
import type { CollectionDocument, Tile, TileId } from '../document/types.js';

/** Tiles that a thumbnail has room for. */
const MOST_TILES = 40;

/**
 * A small document that looks like the beginning of a large one: its first tiles with what they need,
 * without recipes and tables, running words cut short. It is sound by itself, and is laid out and drawn
 * as any other, at a fraction of the size.
 * @param most how many tiles it keeps at most, those in groups counted too
 */
export function summaryOf(document: CollectionDocument, most = MOST_TILES): CollectionDocument {
  const tiles: Record<TileId, Tile> = {};
  let left = most;
  const keep = (order: readonly TileId[]): TileId[] =>
    order.filter((id) => {
      const tile = document.tiles[id];
      if (!tile || left <= 0) return false;
      left--;
      const small = short(tile);
      tiles[id] = small.kind === 'group' ? { ...small, order: keep(small.order) } : small;
      return true;
    });
  const order = keep(document.order);
  const kept = Object.values(tiles);
  const { look, bands, arrangement, formatVersion, name, language, queries } = document;
  function of<Entry>(all: Readonly<Record<string, Entry>> | undefined, ids: readonly string[]) {
    const there = [...new Set(ids)].filter((id) => all && Object.hasOwn(all, id));
    return Object.fromEntries(there.map((id) => [id, all?.[id] as Entry]));
  }
  function mine<Entry>(all: Readonly<Record<TileId, Entry>>) {
    return of(all, Object.keys(tiles));
  }
  const own = bands.map(({ groups, looks, derived: _, ...band }) => ({
    ...band,
    tiles: mine(band.tiles),
    ...(groups && { groups: mine(groups) }),
    ...(looks && { looks: mine(looks) }),
  }));
  const behind = usesOfBands({ bands: own });
  return {
    formatVersion,
    name,
    language,
    arrangement,
    ...(queries && { queries }),
    look,
    tiles,
    order,
    bands: own,
    pictures: of(document.pictures, [...kept.flatMap(picturesIn), ...usedOf(behind, 'picture')]),
    films: of(document.films, [...kept.flatMap(filmsIn), ...usedOf(behind, 'film')]),
    icons: of(document.icons, kept.flatMap(iconsIn)),
    families: of(document.families, familiesOf({ look, tiles, bands: own })),
    namedLooks: of(document.namedLooks, [
      ...kept.flatMap(namedLooksOf),
      ...namedLooksIn(look),
      ...namedLooksIn(looksOfBands({ bands: own })),
    ]),
  };
}

function short(tile: Tile): Tile {
  const { recipe: _, ...own } = tile;
  return own.kind === 'card'
    ? { ...own, parts: own.parts.map((part) => partKindOf(part).short?.(part) ?? part) }
    : own;
}
