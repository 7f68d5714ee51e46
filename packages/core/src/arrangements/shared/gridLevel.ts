import { measuredIn } from '../../document/measured.js';
import { rowSizesOf } from './rowSizes.js';
import { displays } from '../../engine/box/displays.js';
import { percent } from '../../engine/css/length.js';
import { isIntrinsic, parseTrackSize, trackAt } from '../../engine/css/trackSize.js';
import { lengthIn } from '../../engine/css/writtenLength.js';
import { placeIn, STRETCHES as FILLS } from '../../document/bands.js';
import { documentIn } from '../../document/bandLooks.js';
import { coverage } from '../../geometry/coverage.js';
import { areasOf, isHidden, rowCount } from './cells.js';
import { frameStyle, customBox, plainBox } from './boxes.js';
import type { Box, Inside, CustomInside } from '../../engine/box/box.js';
import type { BoxStyle, TrackSizingFunction } from '../../engine/box/style.js';
import type { GridArea } from '../../geometry/area.js';
import type { PlacementItem } from '../../engine/grid/placeInColumns.js';
import type { Track } from '../../geometry/track.js';
import type { Fit, Lie, Tile, TileId, TrackSize, WrittenLength } from '../../document/types.js';
import type { LevelBox, LevelInput } from '../kind.js';

/** How the tiles of a level hold cells. */
interface Held {
  readonly columns: readonly TrackSize[];
  /** In reading order; null for a tile that is hidden. */
  readonly wishes: readonly (PlacementItem | null)[];
  /** How many rows a map of areas has; 0: there is none. */
  readonly mapped: number;
}

/** The boxes of a level whose tiles hold cells of a grid. What only fills cells of known size needs no content. */
export function gridLevel(input: LevelInput, { columns: written, wishes, mapped }: Held): LevelBox {
  const { document, band, group, content, isSquareGroup } = input;
  const { arrangement } = band;
  const isSquare = arrangement.cells === 'square';
  const columns = written.map((size) => trackAt(size, band.at));
  const all = areasOf(document, band, columns.length, wishes);
  const shown = document.order.filter((_, k) => !isHidden(all[k] as GridArea));
  const areas = all.filter((area) => !isHidden(area));
  const looks = documentIn(document, band.index);
  const count = rowCount(arrangement, areas, mapped);
  const sizes = rowSizesOf(arrangement);
  const rows = Array.from({ length: count }, (_, k) => trackAt(sizes.rows[k] ?? sizes.autoRows, band.at));
  const isHigh = arrangement.height?.kind === 'fixed';
  const asks =
    !isSquare &&
    (columns.some((size) => isIntrinsic(sizing(size), true)) ||
      rows.some((size) => isIntrinsic(sizing(size), isHigh)));
  const groups: Record<TileId, LevelBox> = {};
  let measures = false;
  const children = areas.map((area, k) => {
    const tile = looks.tiles[shown[k] as string] as Tile;
    // Square cells are filled.
    const fit = isSquare ? FILLS : placeIn(document, tile, band.index).fit;
    return cell(inCells(tile, contentBox(tile, fit)), area, fit, band.at);
  });
  const box: Box = {
    ...plainBox(''),
    id: null,
    isGridRoot: true,
    children,
    style: {
      ...frameStyle(measuredIn(band), input.screenBlockSize),
      columns: tracks(columns),
      rows: tracks(rows),
    },
  };
  return {
    box: isSquare ? customBox(box.style, (inside) => fillSquares(box, count, inside)) : box,
    measures,
    cells: ({ tracks: laid }) => {
      const across = along(laid?.columnStarts, laid?.columnSizes);
      return {
        areas,
        columns: across,
        rows: along(laid?.rowStarts, laid?.rowSizes),
        coverage: coverage(areas, across.length, count),
        groups,
      };
    },
  };

  /** In square cells a group is as large as they are; one of square modules is as high as those in others. */
  function inCells(tile: Tile, box: Box): Box {
    if (tile.kind !== 'group') return box;
    if (isSquare) return { ...box, style: { ...box.style, ...STRETCHES } };
    return isSquareGroup(tile) ? { ...box, style: { ...box.style, alignSelf: START } } : box;
  }

  function contentBox(tile: Tile, fit: Fit): Box {
    if (tile.kind === 'group') {
      const inner = (groups[tile.id] = group(tile.id));
      measures ||= inner.measures;
      return inner.box;
    }
    const hugs =
      (fit.inline !== 'stretch' && fit.inlineSize === null) ||
      (fit.block !== 'stretch' && fit.blockSize === null);
    if (!asks && !hugs) return plainBox(tile.id);
    measures = true;
    return content(tile);
  }
}

const START = { at: 'start', safe: false } as const;
const STRETCHES = { blockSize: 'auto', minBlockSize: 0, maxInlineSize: 'none' } as const;

const along = (starts: Float64Array | undefined, sizes: Float64Array | undefined): Track[] =>
  Array.from(starts ?? [], (start, k) => ({ start, size: sizes?.[k] ?? 0 }));

/** Rows as high as the first column turns out to be wide. */
function fillSquares(box: Box, count: number, inside: Inside): CustomInside {
  const fill = (row: TrackSize) =>
    displays.grid.fill(
      { ...box, style: { ...box.style, rows: tracks(Array.from({ length: count }, () => row)) } },
      inside,
    );
  return fill(`${fill('0px').tracks?.columnSizes[0] ?? 0}px`);
}

/** The checker has read every track of a document before it comes here. */
const sizing = (size: TrackSize): TrackSizingFunction =>
  parseTrackSize(size) ?? { min: { kind: 'auto' }, max: { kind: 'auto' }, fitLimit: null };

const tracks = (sizes: readonly TrackSize[]): BoxStyle['columns'] => ({
  kind: 'tracks',
  parts: sizes.map((size) => ({ kind: 'track', sizing: sizing(size) })),
});

const LIES: Readonly<Record<Exclude<Lie, 'stretch'>, 'start' | 'center' | 'end'>> = {
  start: 'start',
  center: 'center',
  end: 'end',
};

const sizeOf = (own: WrittenLength | null, page: number) => (own === null ? 'auto' : lengthIn(own, page));

/** A tile's box held at its cells, on a page so wide. */
function cell(box: Box, area: GridArea, fit: Fit, page: number): Box {
  const line = (number: number) => ({ kind: 'line', number, name: null }) as const;
  return {
    ...box,
    style: {
      ...box.style,
      columnStart: line(area.column),
      columnEnd: line(area.column + area.columnSpan),
      rowStart: line(area.row),
      rowEnd: line(area.row + area.rowSpan),
      ...(fit.inline !== 'stretch' && {
        justifySelf: { at: LIES[fit.inline], safe: false },
        inlineSize: sizeOf(fit.inlineSize, page),
        maxInlineSize: percent(100),
      }),
      ...(fit.block !== 'stretch' && {
        alignSelf: { at: LIES[fit.block], safe: false },
        blockSize: sizeOf(fit.blockSize, page),
        maxBlockSize: percent(100),
      }),
    },
  };
}
