import { INITIAL_STYLE, type BoxStyle, type TrackSizing } from '../box/style.js';
import { percent } from '../css/length.js';
import { isIntrinsic, parseTrackSize } from '../css/trackSize.js';
import { bandsOf, placeIn, type Band } from '../document/bands.js';
import { documentIn } from '../document/bandLooks.js';
import { levelOf } from '../document/levels.js';
import { tileBox } from '../page/tileBox.js';
import { bentoAreas, bentoRowCount, isHidden } from './areas.js';
import type { Box } from '../box/box.js';
import type { GridArea } from '../grid/place.js';
import type { Arrangement, CollectionDocument, Fit, Lie, Tile, TrackSize } from '../document/types.js';
import type { LayoutOptions } from '../arrangement.js';

/** A level of a collection as boxes, each tile at the cells that it takes. */
export interface BentoBox {
  readonly box: Box;
  /** Of the boxes, in reading order; hidden tiles have none. */
  readonly areas: readonly GridArea[];
  readonly rowCount: number;
  /** Whether anything in it follows its content, and so the measured words. */
  readonly measures: boolean;
  readonly groups: Readonly<Record<string, BentoBox>>;
}

/** Makes the boxes of a level in a band. What only fills cells of known size needs no content. */
export function bentoBox(document: CollectionDocument, band: Band, options: LayoutOptions): BentoBox {
  const { arrangement } = band;
  const all = bentoAreas(document, band);
  const shown = document.order.filter((_, k) => !isHidden(all[k] as GridArea));
  const areas = all.filter((area) => !isHidden(area));
  const looks = documentIn(document, band.index);
  const rowCount = bentoRowCount(arrangement, areas);
  const rows = Array.from({ length: rowCount }, (_, k) => arrangement.rows[k] ?? arrangement.autoRows);
  const isHigh = arrangement.height?.kind === 'fixed';
  const asks =
    arrangement.columns.some((size) => isIntrinsic(sizing(size), true)) ||
    rows.some((size) => isIntrinsic(sizing(size), isHigh));
  const groups: Record<string, BentoBox> = {};
  let measures = false;
  const children = areas.map((area, k) => {
    const tile = looks.tiles[shown[k] as string] as Tile;
    const { fit } = placeIn(document, tile, band.index);
    return cell(contentBox(tile, fit), area, fit);
  });
  return { box: gridBox(arrangement, rows, children, options), areas, rowCount, measures, groups };

  function contentBox(tile: Tile, fit: Fit): Box {
    if (tile.kind === 'group') {
      const level = levelOf(document, tile.id);
      const inner = bentoBox(level, bandsOf(level)[band.index] as Band, options);
      groups[tile.id] = inner;
      measures ||= inner.measures;
      const width = tile.look.border?.width ?? 0;
      // Browsers draw borders in whole px, never less than one.
      const drawn = width > 0 ? Math.max(1, Math.floor(width)) : 0;
      const style = { ...inner.box.style, border: [drawn, drawn, drawn, drawn] as const };
      return { ...inner.box, id: tile.id, style };
    }
    const hugs =
      (fit.inline !== 'fill' && fit.inlineSize === null) || (fit.block !== 'fill' && fit.blockSize === null);
    if (!asks && !hugs) return plainBox(tile.id);
    measures = true;
    return tileBox(looks, tile, options.measurer, options.pageInlineSize);
  }
}

const plainBox = (id: string): Box => ({
  id,
  isGridRoot: false,
  style: INITIAL_STYLE,
  children: [],
  text: null,
  natural: null,
});

/** The checker has read every track of a document before it comes here. */
const sizing = (size: TrackSize): TrackSizing =>
  parseTrackSize(size) ?? { min: { kind: 'auto' }, max: { kind: 'auto' }, limit: null };

const tracks = (sizes: readonly TrackSize[]): BoxStyle['columns'] => ({
  kind: 'tracks',
  parts: sizes.map((size) => ({ kind: 'track', sizing: sizing(size) })),
});

function gridBox(
  { columns, columnGap, rowGap, padding, height, maxInlineSize }: Arrangement,
  rows: readonly TrackSize[],
  children: readonly Box[],
  { screenBlockSize }: LayoutOptions,
): Box {
  return {
    ...plainBox(''),
    id: null,
    isGridRoot: true,
    children,
    style: {
      ...INITIAL_STYLE,
      display: 'grid',
      boxSizing: 'border-box',
      columns: tracks(columns),
      rows: tracks(rows),
      columnGap,
      rowGap,
      padding: [padding.blockStart, padding.inlineEnd, padding.blockEnd, padding.inlineStart],
      maxInlineSize: maxInlineSize ?? 'none',
      minInlineSize: 0,
      minBlockSize: height?.kind === 'screen' ? height.share * screenBlockSize : 0,
      ...(height?.kind === 'fixed' && { blockSize: height.px }),
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
