import { displays } from '../box/displays.js';
import { percent } from '../css/length.js';
import { isIntrinsic, parseTrackSize } from '../css/trackSize.js';
import { placeIn } from '../document/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { isSquare } from '../document/kindValues.js';
import { coverage } from '../grid/coverage.js';
import { frameStyle, ownBox, plainBox } from '../level/boxes.js';
import { isSquareGroup } from '../level/shape.js';
import { tileBox } from '../page/tileBox.js';
import { bentoAreas, bentoRowCount, isHidden } from './areas.js';
import type { Box, Inside, OwnInside } from '../box/box.js';
import type { BoxStyle, TrackSizing } from '../box/style.js';
import type { GridArea } from '../grid/place.js';
import type { Track } from '../grid/track.js';
import type { Arrangement, Fit, Lie, Tile, TileId, TrackSize } from '../document/types.js';
import type { LayoutOptions, LevelBox, LevelInput } from '../arrangement.js';

/** Makes the boxes of a level in a band. What only fills cells of known size needs no content. */
export function bentoBox({ document, band, options, group }: LevelInput): LevelBox {
  const { arrangement } = band;
  const all = bentoAreas(document, band);
  const shown = document.order.filter((_, k) => !isHidden(all[k] as GridArea));
  const areas = all.filter((area) => !isHidden(area));
  const looks = documentIn(document, band.index);
  const rowCount = bentoRowCount(arrangement, areas);
  const rows = Array.from({ length: rowCount }, (_, k) => arrangement.rows[k] ?? arrangement.autoRows);
  const isHigh = arrangement.height?.kind === 'fixed';
  const asks =
    !isSquare(arrangement) &&
    (arrangement.columns.some((size) => isIntrinsic(sizing(size), true)) ||
      rows.some((size) => isIntrinsic(sizing(size), isHigh)));
  const groups: Record<TileId, LevelBox> = {};
  let measures = false;
  const children = areas.map((area, k) => {
    const tile = looks.tiles[shown[k] as string] as Tile;
    const { fit } = placeIn(document, tile, band.index);
    const box = contentBox(tile, fit);
    return cell(inCells(tile, box), area, fit);
  });
  const box = gridBox(arrangement, rows, children, options);
  return {
    box: isSquare(arrangement) ? ownBox(box.style, (inside) => fillSquares(box, rowCount, inside)) : box,
    measures,
    cells: ({ tracks: laid }) => {
      const columns = along(laid?.columnStarts, laid?.columnSizes);
      return {
        areas,
        columns,
        rows: along(laid?.rowStarts, laid?.rowSizes),
        coverage: coverage(areas, columns.length, rowCount),
        groups,
      };
    },
  };

  /** In square cells a group is as large as they are; one of square modules is as high as those in others. */
  function inCells(tile: Tile, box: Box): Box {
    if (tile.kind !== 'group') return box;
    if (isSquare(arrangement)) return { ...box, style: { ...box.style, ...FILLS } };
    const isSquares = isSquareGroup(document, tile, band.index);
    return isSquares ? { ...box, style: { ...box.style, alignSelf: START } } : box;
  }

  function contentBox(tile: Tile, fit: Fit): Box {
    if (tile.kind === 'group') {
      const inner = (groups[tile.id] = group(tile.id));
      measures ||= inner.measures;
      return inner.box;
    }
    const hugs =
      (fit.inline !== 'fill' && fit.inlineSize === null) || (fit.block !== 'fill' && fit.blockSize === null);
    if (!asks && !hugs) return plainBox(tile.id);
    measures = true;
    return tileBox(looks, tile, options.measurer, options.pageInlineSize);
  }
}

const START = { at: 'start', safe: false } as const;
const FILLS = { blockSize: 'auto', minBlockSize: 0, maxInlineSize: 'none' } as const;

const along = (starts: Float64Array | undefined, sizes: Float64Array | undefined): Track[] =>
  Array.from(starts ?? [], (start, k) => ({ start, size: sizes?.[k] ?? 0 }));

/** Rows as high as the first column turns out to be wide. */
function fillSquares(box: Box, rowCount: number, inside: Inside): OwnInside {
  const fill = (row: TrackSize) =>
    displays.grid.fill(
      { ...box, style: { ...box.style, rows: tracks(Array.from({ length: rowCount }, () => row)) } },
      inside,
    );
  return fill(`${fill('0px').tracks?.columnSizes[0] ?? 0}px`);
}

/** The checker has read every track of a document before it comes here. */
const sizing = (size: TrackSize): TrackSizing =>
  parseTrackSize(size) ?? { min: { kind: 'auto' }, max: { kind: 'auto' }, limit: null };

const tracks = (sizes: readonly TrackSize[]): BoxStyle['columns'] => ({
  kind: 'tracks',
  parts: sizes.map((size) => ({ kind: 'track', sizing: sizing(size) })),
});

function gridBox(
  arrangement: Arrangement,
  rows: readonly TrackSize[],
  children: readonly Box[],
  options: LayoutOptions,
): Box {
  return {
    ...plainBox(''),
    id: null,
    isGridRoot: true,
    children,
    style: {
      ...frameStyle(arrangement, options),
      columns: tracks(arrangement.columns),
      rows: tracks(rows),
    },
  };
}

const LIES: Readonly<Record<Exclude<Lie, 'fill'>, 'start' | 'center' | 'end'>> = {
  start: 'start',
  centre: 'center',
  end: 'end',
};

/** A tile's box held at its cells. */
function cell(box: Box, area: GridArea, fit: Fit): Box {
  const line = (number: number) => ({ kind: 'line', number, name: null }) as const;
  return {
    ...box,
    style: {
      ...box.style,
      columnStart: line(area.column),
      columnEnd: line(area.column + area.columnSpan),
      rowStart: line(area.row),
      rowEnd: line(area.row + area.rowSpan),
      ...(fit.inline !== 'fill' && {
        justifySelf: { at: LIES[fit.inline], safe: false },
        inlineSize: fit.inlineSize ?? 'auto',
        maxInlineSize: percent(100),
      }),
      ...(fit.block !== 'fill' && {
        alignSelf: { at: LIES[fit.block], safe: false },
        blockSize: fit.blockSize ?? 'auto',
        maxBlockSize: percent(100),
      }),
    },
  };
}
