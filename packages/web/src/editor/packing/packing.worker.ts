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
import { loadFonts, measurer } from '../engine/measurer';

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
  // Where a tile sits says nothing about what it needs, so it is not measured anew when it moves.
  const tiles = Object.fromEntries(
    Object.entries(view.tiles).map(([id, tile]) => [id, same({ ...tile, place: NOWHERE })]),
  );
  const measured = { ...view, tiles, look: same(view.look), pictures: same(view.pictures) };
  return bearingAt(measured, width, inlineSize, mostCrop, measurer);
}

const NOWHERE = { columnSpan: 1, rowSpan: 1, pin: null };

const packing = {
  /** Measures all tiles, so that the first answer comes as fast as the later ones. */
  async prepare(asked: Asked): Promise<void> {
    const { allows } = await bearing(asked);
    for (const id of asked.view.order) allows(id, { columns: 1, rows: 1 });
  },
  async closeGaps(asked: Asked, distance: number, mostSpans: number): Promise<ClosedGaps> {
    const { allows } = await bearing(asked);
    return closeGaps(asked.view, asked.band, { distance, mostSpans, allows });
  },
  async propose(asked: Asked, tiles: readonly TileId[], seed: number): Promise<Proposal[]> {
    const { allows, aspectOf } = await bearing(asked);
    return propose(asked.view, asked.band, { tiles, allows, aspectOf, seed, most: 12 });
  },
};

export type Packing = typeof packing;

expose(packing);
