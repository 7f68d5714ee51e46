import {
  bearingAt,
  closeGaps,
  propose,
  type ClosedGaps,
  type CollectionDocument,
  type Proposal,
  type TileId,
} from '@noria/core';
import { expose } from 'comlink';
import { loadFonts, measurer } from '../../../measure/measurer';

/** Where the question is asked: a level as a collection, its band, and the widths, px. */
export interface Asked {
  readonly view: CollectionDocument;
  readonly band: number;
  readonly width: number;
  /** Width of the level's border box. */
  readonly inlineSize: number;
  /** The most of a picture that may be cropped away, 0 to 1. */
  readonly mostCrop: number;
}

const fonts = loadFonts((self as unknown as { fonts: FontFaceSet }).fonts);
const known = new Map<string, unknown>();

/** Copies from the page are new objects each time; the same content gives the object of before, with what core knows of it. */
function same<T extends object>(value: T): T {
  const text = JSON.stringify(value);
  const before = known.get(text);
  if (before) return before as T;
  if (known.size > 5000) known.clear();
  known.set(text, value);
  return value;
}

async function bearing({ view, width, inlineSize, mostCrop }: Asked) {
  await fonts;
  const tiles = Object.fromEntries(Object.entries(view.tiles).map(([id, tile]) => [id, same(tile)]));
  const document = { ...view, tiles, look: same(view.look), pictures: same(view.pictures) };
  return { document, ...bearingAt(document, width, inlineSize, mostCrop, measurer) };
}

const packing = {
  async closeGaps(asked: Asked, distance: number, mostSpans: number): Promise<ClosedGaps> {
    const { document, allows } = await bearing(asked);
    return closeGaps(document, asked.band, { distance, mostSpans, allows });
  },
  async propose(asked: Asked, tiles: readonly TileId[], seed: number): Promise<Proposal[]> {
    const { document, allows, aspectOf } = await bearing(asked);
    return propose(document, asked.band, { tiles, allows, aspectOf, seed, most: 12 });
  },
};

export type Packing = typeof packing;

expose(packing);
