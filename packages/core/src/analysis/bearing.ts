import { plainTrackSize } from '../engine/css/trackSize.js';
import { measured } from '../document/measured.js';
import { documentIn } from '../document/bandLooks.js';
import { groupNeed } from './groupNeed.js';
import { canClip, blockNeedOf, needOf } from './fit/needs.js';
import { LEAST_SHOWN } from './fit/pictureFindings.js';
import { SLACK } from '../geometry/slack.js';
import { visibleShare } from '../geometry/visibleShare.js';
import { evenColumn } from '../geometry/evenColumn.js';
import { pictureOf } from '../document/card.js';
import type { Band } from '../document/bands.js';
import type { Span } from './packing/fillCells.js';
import { isPictureFill } from '../look/paints.js';
import type { MeasuredArrangement, CollectionDocument, Tile, TileId } from '../document/types.js';
import type { TextMeasurer } from '../engine/text/types.js';

/** The least and greatest inline size of a level's border box in a band, and of the page, px. */
export interface LevelWidths {
  readonly low: number;
  readonly high: number;
  readonly lowPage: number;
  readonly highPage: number;
}

/** How high what is in groups makes them at the narrowest and the widest width of a band, px. */
export type GroupHeights = ReadonlyMap<TileId, readonly [low: number, high: number]>;

const NO_GROUPS: GroupHeights = new Map();

export interface BearingOptions {
  /** The least part of a picture that must show, 0 to 1. */
  readonly leastShown?: number;
  /** Groups that are not in it bear any height. */
  readonly groups?: GroupHeights;
}

/** What tiles bear over all widths of a band that is cut into even columns. */
export interface BandBearing {
  /** Width of so many columns at the narrowest and the widest. */
  readonly across: (columns: number) => readonly [low: number, high: number];
  /** Height of so many rows, px; null where rows follow their content. */
  readonly down: ((rows: number) => number) | null;
  /** The least rows in which a tile's words fit a number of columns; null when it is too narrow for them. */
  readonly leastRows: (tile: Tile, columns: number) => number | null;
  /** The least part of its picture that a tile shows in a span; 1 without a picture. */
  readonly shown: (tile: Tile, span: Span) => number;
  /** The rows in which its picture shows most in so many columns, at both ends alike; 1 without a picture. */
  readonly fittingRows: (tile: Tile, columns: number) => number;
  /** Whether a tile's words fit a span, and no more of its picture is cropped away than may be. */
  readonly allows: (tile: Tile, span: Span) => boolean;
}

/**
 * What the tiles of a level bear in a band of so many even columns, by the rules of the fit check: no
 * tile is narrower than what is legible, no text is clipped where rows have a height of their own, and
 * no picture is cropped too far.
 * @param columns 1 or more
 * @throws whatever the measurer throws
 */
export function bandBearing(
  document: CollectionDocument,
  band: Pick<Band, 'index' | 'arrangement'>,
  columns: number,
  { low, high, lowPage, highPage }: LevelWidths,
  measurer: TextMeasurer,
  { leastShown = LEAST_SHOWN, groups = NO_GROUPS }: BearingOptions = {},
): BandBearing {
  const { autoRows } = band.arrangement;
  const [lowFrame, highFrame] = [lowPage, highPage].map((page) => measured(band.arrangement, page)) as [
    MeasuredArrangement,
    MeasuredArrangement,
  ];
  const looks = documentIn(document, band.index);
  const columnAt = (width: number, { padding, maxInlineSize, columnGap }: MeasuredArrangement) =>
    evenColumn(
      Math.min(width, maxInlineSize ?? Infinity) - padding.inlineStart - padding.inlineEnd,
      columns,
      columnGap,
    );
  const [narrow, wide] = [columnAt(low, lowFrame), columnAt(high, highFrame)];
  const across = (count: number) =>
    [
      count * narrow + (count - 1) * lowFrame.columnGap,
      count * wide + (count - 1) * highFrame.columnGap,
    ] as const;
  const rowGaps = [lowFrame.rowGap, highFrame.rowGap] as const;
  const middle = (rowGaps[0] + rowGaps[1]) / 2;
  const row = plainTrackSize(autoRows);
  const down =
    row?.unit === 'px' && row.value + Math.min(...rowGaps) > 0
      ? (rows: number, rowGap: number) => rows * row.value + (rows - 1) * rowGap
      : null;
  const rowsFor = (blockSize: number, rowGap: number) =>
    row?.unit === 'px' ? Math.max(1, Math.ceil((blockSize - SLACK + rowGap) / (row.value + rowGap))) : 1;
  const lookOf = (tile: Tile) => looks.tiles[tile.id] ?? tile;

  const widthOf = (tile: Tile, page: number, count: number) => {
    if (tile.kind !== 'group') return needOf(looks, tile, measurer, page).inlineSize;
    // Nothing is wider than all columns.
    return count < columns ? groupNeed(document, tile, Math.max(0, band.index - 1), page, measurer) : 0;
  };
  const leastRows = (given: Tile, count: number): number | null => {
    const tile = lookOf(given);
    const [least, most] = across(count);
    for (const [size, page] of [[least, lowPage] as const, [most, highPage] as const]) {
      if (widthOf(tile, page, count) > size + SLACK) return null;
    }
    const [lowHeight, highHeight] = groups.get(tile.id) ?? [0, 0];
    if (lowHeight > 0) return Math.max(rowsFor(lowHeight, rowGaps[0]), rowsFor(highHeight, rowGaps[1]));
    if (!canClip(tile)) return 1;
    const high = (page: number, size: number) => {
      const { words, pictures } = blockNeedOf(looks, tile, measurer, page, size);
      return words + leastShown * pictures;
    };
    return Math.max(rowsFor(high(lowPage, least), rowGaps[0]), rowsFor(high(highPage, most), rowGaps[1]));
  };
  const shown = (tile: Tile, { columns: count, rows }: Span): number => {
    const aspect = coveredAspect(document, tile);
    if (aspect === null || !down) return 1;
    return Math.min(
      ...across(count).map((size, k) =>
        visibleShare(aspect, Math.max(1, size) / down(rows, rowGaps[k] ?? 0)),
      ),
    );
  };
  const fittingRows = (tile: Tile, count: number): number => {
    const aspect = coveredAspect(document, tile);
    if (aspect === null || row?.unit !== 'px') return 1;
    const [least, most] = across(count);
    const blockSize = Math.sqrt(Math.max(1, least) * Math.max(1, most)) / aspect;
    return Math.max(1, Math.round((blockSize + middle) / (row.value + middle)));
  };
  const allows = (tile: Tile, span: Span): boolean => {
    const rows = leastRows(tile, span.columns);
    return rows !== null && (rows <= span.rows || !down) && shown(tile, span) >= leastShown;
  };
  return {
    across,
    down: down && ((rows) => down(rows, middle)),
    leastRows,
    shown,
    fittingRows,
    allows,
  };
}

/** Inline ÷ block of the picture that a tile covers itself with; null without one. */
export function coveredAspect({ pictures }: Pick<CollectionDocument, 'pictures'>, tile: Tile): number | null {
  const part = pictureOf(tile);
  if (part?.fit === 'contain') return null;
  const { fill } = tile.look;
  const id: string | null = part !== null ? part.picture : isPictureFill(fill) ? fill.picture : null;
  const picture = id === null ? undefined : pictures[id];
  return picture ? picture.inlineSize / picture.blockSize : null;
}
