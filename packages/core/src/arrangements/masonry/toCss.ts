import { placeIn, shownTiles } from '../../document/bands.js';
import { fittingTracks } from '../shared/fittingTracks.js';
import { columnGapOf, frameCss, fromLine, linearCss, ratioCss, SLOT_WIDTH, stackCss } from '../shared/css.js';
import { aspectOf } from '../shared/shape.js';
import { tileSelector } from '../../engine/css/rule.js';
import { px } from '../../engine/css/units.js';
import { laneOffsets } from './offsets.js';
import { masonryOf, toleranceOf } from './values.js';
import type { CssInput, LevelCss, BandRule } from '../kind.js';
import type { Declarations } from '../../engine/css/rule.js';
import type { Tile } from '../../document/types.js';

/** What lies above a tile in its lane. */
const ABOVE = '--above';

/** Asks a browser whether it has lanes. */
export const LANES = '(display: grid-lanes)';

/**
 * Masonry in CSS. Where there are lanes (CSS Grid 3) they lay the tiles out. Elsewhere all tiles lie
 * in one row of a grid, each pushed down by what lies above it: a share of its own width, and px. So
 * the source keeps its order, and the picture is the same.
 */
export function masonryToCss({ document, band, layout, selector }: CssInput): LevelCss {
  const { arrangement } = band;
  const lanes = masonryOf(arrangement);
  const columnGap = columnGapOf(arrangement);
  const laid = layout();
  const count = laid.columns.length;
  const offsets = laneOffsets(document, band, laid);
  const tiles: Record<string, Declarations> = {};
  const spans: BandRule[] = [];
  for (const id of document.order) {
    const tile = document.tiles[id] as Tile;
    const place = placeIn(document, tile, band.index);
    const at = offsets.get(id);
    const aspect = aspectOf(document, tile);
    tiles[id] = {
      ...(at && {
        'grid-column': fromLine(at.lane + 1, at.span),
        'grid-row': '1',
        // Said apart, so that a narrower band says what lies above and no more.
        [ABOVE]: sumOf(
          linearCss(at.share, at.length, [
            [at.rowGaps, arrangement.rowGap],
            [at.columnGaps, columnGap],
          ]),
        ),
        'margin-block-start': `calc(var(${ABOVE}))`,
      }),
      ...SLOT_WIDTH,
      // A group is as high as it says itself.
      ...(tile.kind !== 'group' && { 'block-size': 'auto' }),
      ...(aspect !== null && { 'aspect-ratio': ratioCss(aspect) }),
      ...stackCss(document, tile, place),
    };
    if (place.columnSpan > 1)
      spans.push({
        supports: LANES,
        selector: `${selector} > ${tileSelector(id)}`,
        declarations: { 'grid-column': `span ${Math.min(place.columnSpan, count)}` },
      });
  }
  const tolerance = toleranceOf(lanes);
  return {
    grid: {
      display: 'grid',
      'grid-template-columns': evenTracksCss(count),
      'grid-template-rows': 'none',
      'grid-template-areas': 'none',
      'grid-auto-rows': 'auto',
      'grid-auto-flow': 'row',
      'align-items': 'start',
      ...frameCss(arrangement),
    },
    tiles,
    inBand:
      shownTiles(document, band).length === 0
        ? []
        : [
            {
              supports: LANES,
              selector: `${selector} > [data-tile]`,
              declarations: { 'grid-column': 'auto', 'grid-row': 'auto', 'margin-block-start': '0' },
            },
            {
              supports: LANES,
              selector,
              declarations: {
                display: 'grid-lanes',
                'grid-template-columns':
                  lanes.count !== null
                    ? evenTracksCss(lanes.count)
                    : fittingTracks('auto-fill', lanes, arrangement.columnGap),
                'flow-tolerance': tolerance === Infinity ? 'infinite' : px(tolerance),
              },
            },
            ...spans,
          ],
  };
}

/** What is in a `calc()`, for another one. */
const sumOf = (css: string) => /^calc\((.*)\)$/.exec(css)?.[1] ?? css;

const evenTracksCss = (count: number) =>
  count === 1 ? 'minmax(0, 1fr)' : `repeat(${count}, minmax(0, 1fr))`;
