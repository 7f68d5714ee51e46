import { perObjectAnd, whileSame } from '../memo.js';
import type { BandLook, CollectionDocument, Tile, TileLook, TypeSizes } from './types.js';

/** What a band sets or inherits of a tile's look. */
export function bandLookIn(document: CollectionDocument, tile: string, bandIndex: number): BandLook {
  return document.bands
    .slice(0, bandIndex)
    .reduce((look: BandLook, band) => ({ ...look, ...band.looks?.[tile] }), {});
}

/** What bands set of the looks of tiles. */
export const looksOfBands = ({ bands }: Pick<CollectionDocument, 'bands'>): readonly BandLook[] =>
  bands.flatMap(({ looks = {} }) => Object.values(looks));

/**
 * A collection with the looks that it has in a band: what the band sets stands where the
 * collection's and the tiles' own do. The same document gives the same view, and tiles that stay as they are stay the
 * same objects.
 */
export function documentIn(document: CollectionDocument, bandIndex: number): CollectionDocument {
  const bands = document.bands.slice(0, bandIndex);
  if (!bands.some(({ typeSizes, looks }) => typeSizes ?? looks)) return document;
  return viewIn(document, bandIndex);
}

const viewIn = perObjectAnd((document: CollectionDocument, bandIndex: number): CollectionDocument => {
  const bands = document.bands.slice(0, bandIndex);
  const look = bands.reduce((inherited, { typeSizes }) => ({ ...inherited, ...typeSizes }), document.look);
  const set = new Set(bands.flatMap(({ looks = {} }) => Object.keys(looks)));
  const tiles = { ...document.tiles };
  for (const id of set) {
    const tile = tiles[id];
    if (tile) tiles[id] = withLook(tile, bandLookIn(document, id, bandIndex));
  }
  return { ...document, look: sameLook(document, look, bandIndex), tiles };
});

/** Type sizes as text, over a look. */
const lookWith = perObjectAnd((look: CollectionDocument['look'], sizes: string) => ({
  ...look,
  ...(JSON.parse(sizes) as TypeSizes),
}));

/** Measured tiles are kept by the look they are in, so one look is one object. */
function sameLook(document: CollectionDocument, look: CollectionDocument['look'], bandIndex: number) {
  if (!document.bands.slice(0, bandIndex).some(({ typeSizes }) => typeSizes)) return document.look;
  const { headingSize, bodySize } = look;
  return lookWith(document.look, JSON.stringify({ headingSize, bodySize }));
}

const dressed = whileSame<Tile, Tile>();

const withLook = (tile: Tile, look: BandLook): Tile =>
  dressed(tile, [JSON.stringify(look)], () => {
    const said = Object.entries({ ...tile.look, ...look }).filter(([, value]) => value !== null);
    return { ...tile, look: Object.fromEntries(said) as unknown as TileLook };
  });
