import { measuredIn } from '../../document/measured.js';
import { placeIn, shownTiles, type Band } from '../../document/bands.js';
import { laneCountOf, masonryOf, toleranceOf } from './values.js';
import { placeLanes, type LaneItem } from '../../engine/lanes/placeLanes.js';
import { customLevel, putTile } from '../shared/boxes.js';
import { columnGapOf, frameCss, linearCss, SLOT, stackCss } from '../shared/css.js';
import { shapeOf } from '../shared/shape.js';
import { tileSelector, type Declarations } from '../../engine/css/rule.js';
import { px } from '../../engine/css/units.js';
import { lengthCss } from '../../engine/css/writtenLength.js';
import { LANES } from './toCss.js';
import type { CssInput, LaidOutTile, Layout, LevelBox, LevelCss, LevelInput, BandRule } from '../kind.js';
import type { CollectionDocument, Tile, TileId } from '../../document/types.js';

interface Item extends LaneItem {
  /** px. */
  readonly inlineSize: number;
  readonly blockSize: number;
}

/**
 * Masonry whose lanes are rows of one height: tiles run along them, each as wide as its shape makes
 * it, and what does not fit the width is scrolled to. Nothing in it depends on the width.
 */
export function alongBox(input: LevelInput): LevelBox {
  const { document, band } = input;
  const { columnGap, rowGap } = measuredIn(band);
  const masonry = masonryOf(measuredIn(band));
  const count = laneCountOf(masonry);
  const lane = masonry.laneSize;
  return customLevel(input, {
    lay: (tiles) => {
      const items = tiles.map(({ tile, place }): Item => {
        const span = Math.min(place.columnSpan, count);
        const blockSize = span * lane + (span - 1) * rowGap;
        const aspect = shapeOf(document, tile, { columnSpan: 1, rowSpan: place.columnSpan });
        return { lane: null, span, inlineSize: blockSize * aspect, blockSize };
      });
      const placed = placeLanes(items, (k) => (items[k] as Item).inlineSize, {
        lanes: count,
        gap: columnGap,
        tolerance: toleranceOf(masonry),
      });
      const laneOf = (k: number) => placed.lane[k] as number;
      const areas = items.map(({ span }, k) => ({
        column: k + 1,
        columnSpan: 1,
        row: laneOf(k) + 1,
        rowSpan: span,
      }));
      return ({ inlineSize: inner, frame }) => ({
        blockSize: count * lane + (count - 1) * rowGap,
        fragments: tiles.map(({ box }, k) => {
          const { inlineSize, blockSize } = items[k] as Item;
          const [x, y] = [placed.start[k] as number, laneOf(k) * (lane + rowGap)];
          return putTile(box, frame[3] + x, frame[0] + y, inlineSize, blockSize);
        }),
        areas,
        columns: [{ start: frame[3], size: inner }],
        rows: Array.from({ length: count }, (_, k) => ({
          start: frame[0] + k * (lane + rowGap),
          size: lane,
        })),
      });
    },
  });
}

/** The same in CSS: lanes where there are some, else a grid of rows in which each tile is pushed along. */
export function alongToCss({ document, band, layout, selector }: CssInput): LevelCss {
  const { arrangement } = band;
  const masonry = masonryOf(arrangement);
  const count = laneCountOf(masonry);
  const rows = `repeat(${count}, ${lengthCss(masonry.laneSize)})`;
  const at = new Map(layout().tiles.map((tile) => [tile.id, tile]));
  const starts = startsAlong(document, band, layout());
  const columnGap = columnGapOf(arrangement);
  const css = ({ lanes, rowGaps, columnGaps }: Along) =>
    linearCss(0, 0, [
      [lanes, masonry.laneSize],
      [rowGaps, arrangement.rowGap],
      [columnGaps, columnGap],
    ]);
  const tiles: Record<string, Declarations> = {};
  const spans: BandRule[] = [];
  for (const id of document.order) {
    const tile = document.tiles[id] as Tile;
    const place = placeIn(document, tile, band.index);
    const laid = at.get(id);
    tiles[id] = {
      ...(laid && {
        'grid-column': '1',
        'grid-row': `${laid.row} / span ${laid.rowSpan}`,
        'justify-self': 'start',
        'margin-inline-start': css(starts.get(id) ?? NOTHING),
        'inline-size': css({ ...sizeOf(laid), columnGaps: 0 }),
        'block-size': css({ lanes: laid.rowSpan, rowGaps: laid.rowSpan - 1, columnGaps: 0 }),
        ...SLOT,
      }),
      ...stackCss(document, tile, place),
    };
    if (laid && laid.rowSpan > 1)
      spans.push({
        supports: LANES,
        selector: `${selector} > ${tileSelector(id)}`,
        declarations: { 'grid-row': `span ${laid.rowSpan}` },
      });
  }
  const tolerance = toleranceOf(masonry);
  return {
    grid: {
      display: 'grid',
      'grid-template-columns': 'max-content',
      'grid-template-rows': rows,
      'grid-template-areas': 'none',
      'grid-auto-rows': 'auto',
      'grid-auto-flow': 'row',
      'overflow-x': 'auto',
      // A bar would make it higher on some systems and not on others.
      'scrollbar-width': 'none',
      ...frameCss(arrangement),
    },
    tiles,
    inBand: [
      {
        supports: LANES,
        selector,
        declarations: {
          display: 'grid-lanes',
          'grid-template-columns': 'none',
          'grid-template-rows': rows,
          'flow-tolerance': tolerance === Infinity ? 'infinite' : px(tolerance),
        },
      },
      {
        supports: LANES,
        selector: `${selector} > [data-tile]`,
        declarations: { 'grid-column': 'auto', 'grid-row': 'auto', 'margin-inline-start': '0' },
      },
      ...spans,
    ],
  };
}

/** A length along lanes: so many of their heights, and of the gaps between and along them. */
interface Along {
  readonly lanes: number;
  readonly rowGaps: number;
  readonly columnGaps: number;
}

const NOTHING: Along = { lanes: 0, rowGaps: 0, columnGaps: 0 };

/** How wide a tile is: its aspect times how high it is. */
function sizeOf({ inlineSize, blockSize, rowSpan }: LaidOutTile): Omit<Along, 'columnGaps'> {
  const aspect = inlineSize / blockSize;
  return { lanes: aspect * rowSpan, rowGaps: aspect * (rowSpan - 1) };
}

/** What lies before each tile of lanes that run along, told by what is laid out. */
function startsAlong(document: CollectionDocument, band: Band, layout: Layout): ReadonlyMap<TileId, Along> {
  const arrangement = measuredIn(band);
  const { columnGap, rowGap } = arrangement;
  const { laneSize } = masonryOf(arrangement);
  const ends: Along[] = layout.rows.map(() => NOTHING);
  const far = ({ lanes, rowGaps, columnGaps }: Along) =>
    lanes * laneSize + rowGaps * rowGap + columnGaps * columnGap;
  const at = new Map(layout.tiles.map((tile) => [tile.id, tile]));
  const found = new Map<TileId, Along>();
  for (const { tile } of shownTiles(document, band)) {
    const laid = at.get(tile.id);
    if (!laid) continue;
    const [first, after] = [laid.row - 1, laid.row - 1 + laid.rowSpan];
    const start = ends
      .slice(first, after)
      .reduce((most, end) => (far(end) > far(most) ? end : most), NOTHING);
    found.set(tile.id, start);
    const { lanes, rowGaps } = sizeOf(laid);
    ends.fill(
      {
        lanes: start.lanes + lanes,
        rowGaps: start.rowGaps + rowGaps,
        columnGaps: start.columnGaps + 1,
      },
      first,
      after,
    );
  }
  return found;
}
