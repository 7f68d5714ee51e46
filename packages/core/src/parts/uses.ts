import { looksOfBands } from '../document/bandLooks.js';
import { namedIn } from '../look/named.js';
import { usesInLook, withLookAssets, type LookUse } from '../look/paints.js';
import { partsOf } from '../document/card.js';
import { partKindOf } from './index.js';
import type {
  CollectionDocument,
  FilmId,
  IconId,
  PictureId,
  Recipe,
  Tile,
  TileId,
} from '../document/types.js';
import type { Refer } from './part.js';

type Asset = Parameters<Refer>[0];

/** An asset that a tile names, and where in it. */
export interface Use {
  readonly what: Asset;
  readonly id: string;
  /** A JSON pointer from the tile. */
  readonly at: string;
}

/** The assets that a tile names, in its parts and behind them, each as often as it does. */
export function usesIn(tile: Tile): Use[] {
  const found: Use[] = [];
  partsOf(tile).forEach((part, k) => {
    partKindOf(part).refer?.(part, (what, id) => {
      found.push({ what, id, at: `/parts/${k}` });
      return id;
    });
  });
  for (const use of usesInLook(tile.look)) found.push({ ...use, at: '/look/fill' });
  return found;
}

const namedBy = (tile: Tile, asked: Asset): string[] =>
  usesIn(tile).flatMap(({ what, id }) => (what === asked ? [id] : []));

/** The pictures that a tile shows, in it or behind it. */
export const picturesIn = (tile: Tile): PictureId[] => namedBy(tile, 'picture');

export const filmsIn = (tile: Tile): FilmId[] => namedBy(tile, 'film');

export const iconsIn = (tile: Tile): IconId[] => namedBy(tile, 'icon');

/** The pictures and films that bands put behind tiles. */
export const usesOfBands = (document: Pick<CollectionDocument, 'bands'>): readonly LookUse[] =>
  looksOfBands(document).flatMap(usesInLook);

/** The looks that variants of a recipe give its tiles. */
export const looksOfVariants = ({ variants }: Recipe) =>
  variants.flatMap(({ looks }) => Object.values(looks));

/** The pictures and films that variants of a recipe put behind its tiles. */
export const usesOfVariants = (recipe: Recipe): readonly LookUse[] =>
  looksOfVariants(recipe).flatMap(usesInLook);

/** The ids of what is used, of one sort. */
export const usedOf = (uses: readonly LookUse[], asked: LookUse['what']): string[] =>
  uses.flatMap(({ what, id }) => (what === asked ? [id] : []));

/** A tile whose parts, and whose fill, name their assets anew. */
export function withAssets(tile: Tile, to: Refer): Tile {
  const own = usesInLook(tile.look).length > 0 ? { ...tile, look: withLookAssets(tile.look, to) } : tile;
  return own.kind === 'card'
    ? { ...own, parts: own.parts.map((part) => partKindOf(part).refer?.(part, to) ?? part) }
    : own;
}

/** The named looks that a value refers to, however deep. */
export function namedLooksIn(value: unknown): string[] {
  const id = namedIn(value);
  if (id !== null) return [id];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(namedLooksIn) : [];
}

/** Everything in a tile with values that may follow a named look: its look, its badges, in its parts. */
export const looksIn = (tile: Tile): readonly object[] => [
  tile.look,
  ...(tile.badges ?? []),
  ...partsOf(tile).flatMap((part) => partKindOf(part).looks?.(part) ?? []),
];

/** The named looks that a tile follows, and where in it each is. */
export const namesIn = (tile: Tile): { readonly id: string; readonly at: string }[] => {
  const all: [string, unknown][] = [
    ['/look', tile.look],
    // The words of a badge say what they say.
    ...(tile.badges ?? []).map(({ fill, textColour }, k): [string, unknown] => [
      `/badges/${k}`,
      [fill, textColour],
    ]),
    ...partsOf(tile).map((part, k): [string, unknown] => [`/parts/${k}`, partKindOf(part).looks?.(part)]),
  ];
  return all.flatMap(([at, value]) => namedLooksIn(value).map((id) => ({ id, at })));
};

/** The named looks that a tile follows. */
export const namedLooksOf = (tile: Tile): string[] => namesIn(tile).map(({ id }) => id);

/** The tiles of a collection that show a picture, by its hash. */
export const tilesShowing = ({ tiles, pictures }: CollectionDocument, hash: string): TileId[] =>
  Object.values(tiles)
    .filter((tile) => picturesIn(tile).some((id) => pictures[id]?.hash === hash))
    .map(({ id }) => id);
