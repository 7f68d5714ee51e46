import { SCREEN_BLOCK_SIZE } from '../../document/screen.js';
import { bandsOf, placeIn, type Band } from '../../document/bands.js';
import { columnChanges } from '../../arrangements/columns.js';
import { kindOf } from '../../arrangements/index.js';
import { resolvedBand } from '../../arrangements/bands.js';
import { isMeasured, lengthBends } from '../../document/measured.js';
import { fluidBends, looksGrow } from '../../look/named.js';
import { layoutCollection } from '../../layout/layout.js';
import type { LaidOutTile, Layout } from '../../arrangements/kind.js';
import { isIntrinsic, parseTrackSize, plainTrackSize } from '../../engine/css/trackSize.js';
import type { Arrangement, CollectionDocument, Tile, TileId, TrackSize } from '../../document/types.js';
import type { TextMeasurer } from '../../engine/text/types.js';

/** A level as it is laid out: the collection itself, or a group; px from the outermost border box. */
export interface LaidOutLevel {
  readonly level: TileId | null;
  readonly layout: Layout;
  readonly x: number;
  readonly y: number;
}

/** A layout with all that is in it in one list. */
export interface FlatLayout {
  readonly layout: Layout;
  /** Those in groups too, px from the outermost border box. */
  readonly tiles: readonly LaidOutTile[];
  readonly levels: readonly LaidOutLevel[];
}

/** Whole widths over which every edge of every tile is a straight line of the width. */
export interface Stretch {
  readonly band: Band;
  readonly from: number;
  readonly to: number;
  readonly first: FlatLayout;
  readonly last: FlatLayout;
}

const STRAIGHT_WITHIN = 0.05;
/** Where heights follow words that grow with the page, a step may be narrow. */
const LONGEST_UNSURE = 16;

function flat(layout: Layout): FlatLayout {
  const tiles: LaidOutTile[] = [];
  const levels: LaidOutLevel[] = [];
  const visit = (inner: Layout, level: TileId | null, x: number, y: number): void => {
    levels.push({ level, layout: inner, x, y });
    for (const tile of inner.tiles) {
      const at = x === 0 && y === 0 ? tile : { ...tile, x: tile.x + x, y: tile.y + y };
      tiles.push(at);
      const group = inner.groups[tile.id];
      if (group) visit(group, tile.id, at.x, at.y);
    }
  };
  visit(layout, null, 0, 0);
  return { layout, tiles, levels };
}

/** The widths in a band at which something is known to bend: px, whole. */
function knownBends(document: CollectionDocument, band: Band): number[] {
  const { arrangement } = band;
  const thresholds = kindOf(arrangement).thresholds?.(arrangement) ?? [];
  return [
    ...(typeof arrangement.maxInlineSize === 'number' ? [Math.floor(arrangement.maxInlineSize) + 1] : []),
    ...lengthBends(arrangement),
    ...columnChanges(band).map(({ width }) => Math.ceil(width)),
    ...thresholds.map(Math.ceil),
    ...fluidBends(document).map(Math.ceil),
  ];
}

/**
 * Whether all edges are known to be straight lines between the bends that are known: shares and px
 * with room for them at the narrowest width, rows of px, tiles that fill their cells.
 */
function isPlain(document: CollectionDocument, band: Band, low: number): boolean {
  const { columns } = resolvedBand(document, band);
  if (!isMeasured(band.arrangement)) return false;
  const { rows, autoRows, padding, columnGap, maxInlineSize, height } = band.arrangement;
  const sizes = columns.map(plainTrackSize);
  const px = sizes.reduce((sum, size) => sum + (size?.unit === 'px' ? size.value : 0), 0);
  const inner = Math.min(low, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd;
  return (
    (height?.kind ?? 'content') === 'content' &&
    sizes.every((size) => size !== null) &&
    [...rows, autoRows].every((size) => plainTrackSize(size)?.unit === 'px') &&
    px + (columns.length - 1) * columnGap < inner &&
    document.order.every((id) => {
      const tile = document.tiles[id] as Tile;
      const { fit } = placeIn(document, tile, band.index);
      return tile.kind !== 'group' && fit.inline === 'stretch' && fit.block === 'stretch';
    })
  );
}

/** Whether any tile may be as high as its words: in tracks that follow their content, or by its kind. */
function followsWords({ arrangement, bands, tiles }: CollectionDocument): boolean {
  const groups = Object.values(tiles).flatMap((tile) => (tile.kind === 'group' ? [tile.arrangement] : []));
  const written: Partial<Arrangement>[] = [
    arrangement,
    ...groups,
    ...bands.flatMap((band) => [band.arrangement, ...Object.values(band.groups ?? {})]),
  ];
  const isOpen = (size: TrackSize) => {
    const sizing = parseTrackSize(size);
    return sizing === null || isIntrinsic(sizing, true);
  };
  return written.some(({ kind, columns = [], rows = [], autoRows }) => {
    const sizes = [...columns, ...rows, ...(autoRows === undefined ? [] : [autoRows])];
    return sizes.some(isOpen) || (kind !== undefined && kindOf({ kind }).followsWords !== undefined);
  });
}

/**
 * Cuts the widths from one to another into stretches. Layouts are made at the ends and three widths
 * between; where one is not on the line the stretch is cut in two, down to a single px.
 * @param screenBlockSize height of the screen that grids' heights may be a share of, px
 * @throws whatever the measurer throws
 */
export function stretchesOf(
  document: CollectionDocument,
  from: number,
  to: number,
  measurer: TextMeasurer,
  screenBlockSize: number = SCREEN_BLOCK_SIZE,
): Stretch[] {
  const found: Stretch[] = [];
  const unsure = looksGrow(document) && followsWords(document);
  const layOut = (width: number) => flat(layoutCollection(document, width, { measurer, screenBlockSize }));
  const cut = (band: Band, low: number, high: number, first: FlatLayout, last: FlatLayout): void => {
    const length = high - low;
    const isShort = length <= 1;
    const between = [low + (length >> 2), low + (length >> 1), high - (length >> 2)].filter(
      (width) => width > low && width < high,
    );
    if (isShort && !isSameShape(first, last)) {
      found.push({ band, from: low, to: low, first, last: first });
      if (high > low) found.push({ band, from: high, to: high, first: last, last });
      return;
    }
    if (
      isShort ||
      (!(unsure && length > LONGEST_UNSURE) &&
        between.every((width) => isBetween(layOut(width), first, last, (width - low) / length)))
    ) {
      found.push({ band, from: low, to: high, first, last });
      return;
    }
    const middle = low + (length >> 1);
    const here = layOut(middle);
    const next = layOut(middle + 1);
    cut(band, low, middle, first, here);
    cut(band, middle + 1, high, next, last);
  };
  for (const band of bandsOf(document).toReversed()) {
    const low = Math.max(from, Math.ceil(band.from));
    const high = Math.min(to, Math.ceil(band.below) - 1);
    if (low > high) continue;
    const edges = [
      low,
      ...new Set(knownBends(document, band).filter((width) => width > low && width <= high)),
    ].sort((a, b) => a - b);
    edges.forEach((start, k) => {
      const end = (edges[k + 1] ?? high + 1) - 1;
      const [first, last] = [layOut(start), layOut(end)];
      if (isPlain(document, band, start) && isSameShape(first, last))
        found.push({ band, from: start, to: end, first, last });
      else cut(band, start, end, first, last);
    });
  }
  return found;
}

function isSameShape(a: FlatLayout, b: FlatLayout): boolean {
  return (
    a.tiles.length === b.tiles.length &&
    a.layout.columns.length === b.layout.columns.length &&
    a.tiles.every((tile, k) => {
      const other = b.tiles[k];
      return other?.id === tile.id && other.column === tile.column && other.row === tile.row;
    })
  );
}

function isBetween(layout: FlatLayout, first: FlatLayout, last: FlatLayout, share: number): boolean {
  if (!isSameShape(first, last) || !isSameShape(layout, first)) return false;
  const on = (value: number, from: number, to: number) =>
    Math.abs(value - from - (to - from) * share) <= STRAIGHT_WITHIN;
  return (
    on(layout.layout.blockSize, first.layout.blockSize, last.layout.blockSize) &&
    layout.tiles.every((tile, k) => {
      const [a, b] = [first.tiles[k] as LaidOutTile, last.tiles[k] as LaidOutTile];
      return (
        on(tile.inlineSize, a.inlineSize, b.inlineSize) &&
        on(tile.blockSize, a.blockSize, b.blockSize) &&
        on(tile.x, a.x, b.x) &&
        on(tile.y, a.y, b.y)
      );
    })
  );
}
