import type { BandLook, CollectionDocument, Tile } from './types.js';

const known = new WeakMap<CollectionDocument, Map<number, CollectionDocument>>();
const knownTiles = new WeakMap<Tile, { readonly key: string; readonly tile: Tile }>();

/** What a band sets or carries of a tile's look. */
export function bandLookIn(document: CollectionDocument, tile: string, bandIndex: number): BandLook {
  return document.bands
    .slice(0, bandIndex)
    .reduce((look: BandLook, band) => ({ ...look, ...band.looks?.[tile] }), {});
}

/**
 * A collection with the looks that it has in a band: what the band sets stands where the
 * collection's and the tiles' own do. The same document gives the same view, and tiles that stay as they are stay the
 * same objects.
 */
export function documentIn(document: CollectionDocument, bandIndex: number): CollectionDocument {
  const bands = document.bands.slice(0, bandIndex);
  if (!bands.some(({ typeSizes, looks }) => typeSizes ?? looks)) return document;
  let views = known.get(document);
  if (!views) known.set(document, (views = new Map<number, CollectionDocument>()));
  let view = views.get(bandIndex);
  if (!view) views.set(bandIndex, (view = makeView(document, bandIndex)));
  return view;
}

function makeView(document: CollectionDocument, bandIndex: number): CollectionDocument {
  const bands = document.bands.slice(0, bandIndex);
  const look = bands.reduce((carried, { typeSizes }) => ({ ...carried, ...typeSizes }), document.look);
  const set = new Set(bands.flatMap(({ looks = {} }) => Object.keys(looks)));
  const tiles = { ...document.tiles };
  for (const id of set) {
    const tile = tiles[id];
    if (tile) tiles[id] = withLook(tile, bandLookIn(document, id, bandIndex));
  }
  return { ...document, look: sameLook(document, look, bandIndex), tiles };
}

const knownLooks = new WeakMap<CollectionDocument['look'], Map<string, CollectionDocument['look']>>();

/** Measured tiles are kept by the look they are in, so one look is one object. */
function sameLook(document: CollectionDocument, look: CollectionDocument['look'], bandIndex: number) {
  if (!document.bands.slice(0, bandIndex).some(({ typeSizes }) => typeSizes)) return document.look;
  let looks = knownLooks.get(document.look);
  if (!looks) knownLooks.set(document.look, (looks = new Map<string, CollectionDocument['look']>()));
  const key = JSON.stringify([look.headingSize, look.bodySize]);
  const before = looks.get(key);
  if (!before) looks.set(key, look);
  return before ?? look;
}

function withLook(tile: Tile, look: BandLook): Tile {
  const key = JSON.stringify(look);
  const before = knownTiles.get(tile);
  if (before?.key === key) return before.tile;
  const made: Tile = { ...tile, look: { ...tile.look, ...look } };
  knownTiles.set(tile, { key, tile: made });
  return made;
}
