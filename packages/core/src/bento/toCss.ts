import { trackCss } from '../css/trackSize.js';
import { LIMITS } from '../document/limits.js';
import { placeIn, type Band } from '../document/bands.js';
import { isSquare } from '../document/kindValues.js';
import { fluidOf, spanIn } from '../fluid/columns.js';
import { fittingTracks } from '../fluid/tracks.js';
import { frameCss, SLOT_WIDTH, stackCss } from '../level/css.js';
import { isSquareGroup } from '../level/shape.js';
import { px } from '../page/units.js';
import { areaIn, mapRows } from './areaMap.js';
import type { CssInput, LevelCss } from '../arrangement.js';
import type { GridArea } from '../grid/place.js';
import type { Declarations } from '../page/rule.js';
import type { Arrangement, CollectionDocument, Lie, Tile, TrackSize, WholePlace } from '../document/types.js';

/** The CSS of a bento or fluid level in one band, all values said; the page writer leaves out what is carried. */
export function bentoToCss({ document, band, layout }: CssInput): LevelCss {
  const tiles: Record<string, Declarations> = {};
  const laid = isSquare(band.arrangement) ? layout() : null;
  const areas = laid && new Map(laid.tiles.map((tile) => [tile.id, tile]));
  for (const id of document.order) {
    const tile = document.tiles[id] as Tile;
    const place = placeIn(document, tile, band.index);
    tiles[id] = areas
      ? { ...heldCss(areas.get(id)), ...WHOLE_SQUARES, ...stackCss(document, tile, place) }
      : {
          ...placeCss(place, band),
          ...fitCss(document, tile, place),
          ...(place.fit.block === 'fill' &&
            isSquareGroup(document, tile, band.index) && { 'align-self': 'start' }),
          ...stackCss(document, tile, place),
        };
  }
  return {
    grid: gridCss(band.arrangement),
    ...(laid && { before: squares(laid.rows.length, band.arrangement) }),
    tiles,
  };
}

/** The lines of a tile that is held at its cells. */
export const heldCss = (area: GridArea | undefined): Declarations =>
  area
    ? {
        'grid-column': `${area.column} / span ${area.columnSpan}`,
        'grid-row': `${area.row} / span ${area.rowSpan}`,
      }
    : {};

/**
 * Rows as high as the columns are wide, whatever height the grid has: tiles ask for nothing, and a box
 * along the first column asks for all rows alike (CSS Grid 2, section 12.5: what a span asks for beyond
 * its tracks is shared evenly).
 */
export const SQUARE_ROWS: Declarations = { 'grid-template-rows': 'none', 'grid-auto-rows': 'max-content' };
/** More than a tile's padding: what a tile asks for is never less than nothing. */
export const WHOLE_SQUARES: Declarations = {
  'block-size': '0',
  'min-block-size': '100%',
  ...SLOT_WIDTH,
  'margin-block-end': px(-2 * LIMITS.padding - 2 * LIMITS.border),
};
export const squares = (rows: number, { rowGap }: Arrangement): Declarations => ({
  content: '""',
  'grid-column': '1',
  'grid-row': `1 / span ${Math.max(1, rows)}`,
  'inline-size': '100%',
  'aspect-ratio': rows > 1 ? `1 / ${rows}` : '1',
  'padding-block-end': px(Math.max(0, rows - 1) * rowGap),
});

function gridCss(arrangement: Arrangement): Declarations {
  const { rows } = arrangement;
  const areas = arrangement.kind === 'fluid' ? [] : (arrangement.areas ?? []);
  const map = mapRows(arrangement).map((names) => `"${names.join(' ')}"`);
  return {
    display: 'grid',
    'grid-template-columns':
      arrangement.kind === 'fluid' ? fluidTracks(arrangement) : trackList(arrangement.columns),
    'grid-template-areas': areas.length > 0 ? map.join(' ') : 'none',
    ...(isSquare(arrangement)
      ? SQUARE_ROWS
      : {
          'grid-template-rows': rows.length > 0 ? trackList(rows) : 'none',
          'grid-auto-rows': trackCss(arrangement.autoRows),
        }),
    'grid-auto-flow': arrangement.flow === 'dense' ? 'row dense' : 'row',
    ...frameCss(arrangement),
  };
}

function fluidTracks(arrangement: Arrangement): string {
  const { repeat, minimum, most } = fluidOf(arrangement);
  return fittingTracks(repeat, { minimum, most }, arrangement.columnGap);
}

/** Spans and lines are pulled into the grid here, as the layout pulls them. */
function placeCss(
  { columnSpan, rowSpan, pin, area }: WholePlace,
  band: Pick<Band, 'arrangement' | 'at'>,
): Declarations {
  const { arrangement } = band;
  if (arrangement.kind === 'fluid') {
    const across = spanIn(band, columnSpan, arrangement.columns.length);
    return { 'grid-column': `span ${across}`, 'grid-row': `span ${rowSpan}` };
  }
  if (area !== null && areaIn(arrangement, area)) return { 'grid-column': area, 'grid-row': area };
  const { columns } = arrangement;
  const span = Math.min(columnSpan, columns.length);
  const column = pin && Math.min(pin.column, columns.length - span + 1);
  return {
    'grid-column': column ? `${column} / span ${span}` : `span ${span}`,
    'grid-row': pin ? `${pin.row} / span ${rowSpan}` : `span ${rowSpan}`,
  };
}

const SELF: Readonly<Record<Lie, string>> = { fill: 'auto', start: 'start', centre: 'center', end: 'end' };

/** How a tile lies in its cells; nothing for one that fills them in every band, as most do. */
function fitCss(document: CollectionDocument, tile: Tile, { fit }: WholePlace): Declarations {
  const places = [tile.place, ...document.bands.map((band) => band.tiles[tile.id])];
  const size = (lie: Lie, own: number | null) =>
    lie !== 'fill' ? (own === null ? 'auto' : px(own)) : tile.kind === 'picture' ? '100%' : 'auto';
  const most = (lie: Lie) => (lie === 'fill' ? 'none' : '100%');
  return {
    ...(places.some((place) => place?.fit) && {
      'justify-self': SELF[fit.inline],
      'align-self': SELF[fit.block],
      'inline-size': size(fit.inline, fit.inlineSize),
      'block-size': size(fit.block, fit.blockSize),
      'max-inline-size': most(fit.inline),
      'max-block-size': most(fit.block),
    }),
  };
}

/** Equal neighbours written once with `repeat()`. */
function trackList(tracks: readonly TrackSize[]): string {
  const runs: { size: string; count: number }[] = [];
  for (const track of tracks) {
    const size = trackCss(track);
    const last = runs.at(-1);
    if (last?.size === size) last.count++;
    else runs.push({ size, count: 1 });
  }
  return runs.map(({ size, count }) => (count > 1 ? `repeat(${count}, ${size})` : size)).join(' ');
}
