import { layoutBox } from '../engine/box/layoutBox.js';
import { hasWrittenLengths, measuredIn } from '../document/measured.js';
import { bandAt, type Band } from '../document/bands.js';
import { arrangementKinds } from '../arrangements/index.js';
import { SCREEN_BLOCK_SIZE } from '../document/screen.js';
import { looksGrow } from '../look/named.js';
import { levelBox } from './levelBox.js';
import '../engine/layoutTree.js';
import { perObject } from '../memo.js';
import type { LaidOutTile, Layout, LevelBox } from '../arrangements/kind.js';
import type { LayoutOptions } from './options.js';
import type { Fragment } from '../engine/box/box.js';
import type { Arrangement, CollectionDocument, TileId } from '../document/types.js';

/**
 * Lays a collection out at a width, in the band that the width lies in.
 * @param width px of the page, 0 or more; the border box is no wider than the band's maximum
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
  const level = boxesOf(document, band, {
    screenBlockSize: SCREEN_BLOCK_SIZE,
    pageInlineSize: width,
    ...options,
  });
  const { padding, maxInlineSize } = measuredIn(band);
  const inlineSize = Math.max(
    padding.inlineStart + padding.inlineEnd,
    Math.min(width, maxInlineSize ?? Infinity),
  );
  const space = { inline: width, block: NaN, inlineSize, blockSize: NaN };
  return toLayout(layoutBox(level.box, space).fragment, level);
}

interface Made {
  readonly level: LevelBox;
  /** The width of the page that type sizes were taken at. */
  readonly page: number;
  readonly measurer: LayoutOptions['measurer'];
}

const known = new WeakMap<CollectionDocument, Map<string, Made>>();

/** While the width is dragged the boxes stay the same, unless type or lengths grow with it. */
function boxesOf(document: CollectionDocument, band: Band, options: LayoutOptions): LevelBox {
  const passed = thresholdsPassed(document, band).join();
  const key = `${band.index} ${options.screenBlockSize} ${passed}`;
  let bands = known.get(document);
  if (!bands) known.set(document, (bands = new Map<string, Made>()));
  let made = bands.get(key);
  const follows = hasWrittenLengths(document) || (made?.level.measures === true && looksGrow(document));
  if (made?.measurer !== options.measurer || (made.page !== options.pageInlineSize && follows)) {
    made = {
      level: levelBox(document, band, options),
      page: options.pageInlineSize,
      measurer: options.measurer,
    };
    bands.set(key, made);
  }
  return made.level;
}

/** Which of the widths the band's width has come to from which tiles of some level ask for something else. */
const thresholdsPassed = (document: CollectionDocument, { at }: Band): boolean[] =>
  thresholdsOf(document).map((width) => at >= width);

/** What any arrangement that is written anywhere says, of whatever kind it comes to be. */
const thresholdsOf = perObject(({ arrangement, bands, tiles }: CollectionDocument): number[] => {
  const all: Partial<Arrangement>[] = [arrangement, ...bands.map((band) => band.arrangement)];
  for (const tile of Object.values(tiles)) if (tile.kind === 'group') all.push(tile.arrangement);
  for (const { groups = {} } of bands) all.push(...Object.values(groups));
  const widths = all.flatMap((each) =>
    arrangementKinds().flatMap(({ thresholds: of }) => of?.({ ...arrangement, ...each }) ?? []),
  );
  return [...new Set(widths)];
});

function toLayout(fragment: Fragment, level: LevelBox): Layout {
  const { inlineSize, blockSize, children } = fragment;
  const { areas, groups, ...cells } = level.cells(fragment);
  const inner: Record<TileId, Layout> = {};
  const tiles = children.map((laid, k) => {
    const id = laid.box.id as TileId;
    const group = groups[id];
    if (group) inner[id] = toLayout(laid, group);
    return {
      ...(areas[k] as (typeof areas)[number]),
      id,
      x: laid.x,
      y: laid.y,
      inlineSize: laid.inlineSize,
      blockSize: laid.blockSize,
    };
  });
  return { inlineSize, blockSize, ...cells, tiles, groups: inner };
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
