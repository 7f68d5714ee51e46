import { bento } from './bento/index.js';
import { fluid } from './fluid/index.js';
import { bandAt } from './document/bands.js';
import {
  SCREEN_BLOCK_SIZE,
  type ArrangementKind,
  type LaidOutTile,
  type Layout,
  type LayoutOptions,
} from './arrangement.js';
import type { Arrangement, CollectionDocument, TileId } from './document/types.js';

/** Every kind of arrangement, by name. */
export const arrangementKinds: Readonly<Record<Arrangement['kind'], ArrangementKind>> = { bento, fluid };

/**
 * Lays a collection out at a width, in the band that the width lies in.
 * @param width px of the page, 0 or more
 * @throws RangeError when the width is not a number of px
 * @throws whatever the measurer throws
 * @example layoutCollection(document, 1280, { measurer }).tiles[0] // { id, x, y, inlineSize, blockSize, … }
 */
export function layoutCollection(
  document: CollectionDocument,
  width: number,
  options: Pick<LayoutOptions, 'measurer'> & Partial<LayoutOptions>,
): Layout {
  if (!Number.isFinite(width) || width < 0) {
    throw new RangeError(`A width is a number of px, 0 or more; this is ${String(width)}.`);
  }
  const band = bandAt(document, width);
  return arrangementKinds[band.arrangement.kind].layout(document, band, width, {
    screenBlockSize: SCREEN_BLOCK_SIZE,
    pageInlineSize: width,
    ...options,
  });
}

/** A layout inside of another one, and where its border box lies in that, px. */
export interface LevelLayout {
  readonly layout: Layout;
  readonly x: number;
  readonly y: number;
}

/** The layout of a group, however deep it lies; null when there is no such group. */
export function levelLayout(layout: Layout, level: TileId | null): LevelLayout | null {
  if (level === null) return { layout, x: 0, y: 0 };
  for (const tile of layout.tiles) {
    const inner = layout.groups[tile.id];
    const found = inner && (tile.id === level ? { layout: inner, x: 0, y: 0 } : levelLayout(inner, level));
    if (found) return { layout: found.layout, x: tile.x + found.x, y: tile.y + found.y };
  }
  return null;
}

/** Every tile of a layout with those in groups, each from the outermost border box; groups before what is in them. */
export function flatTiles({ tiles, groups }: Layout): LaidOutTile[] {
  return tiles.flatMap((tile) => {
    const inner = groups[tile.id];
    if (!inner) return tile;
    const inside = flatTiles(inner).map((each) => ({ ...each, x: each.x + tile.x, y: each.y + tile.y }));
    return [tile, ...inside];
  });
}
