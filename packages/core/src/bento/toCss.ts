import { bandsOf, placeIn, type Band } from '../document/bands.js';
import { levelOf } from '../document/levels.js';
import { trackCss } from '../css/trackSize.js';
import { px } from '../page/units.js';
import { fluidOf, spanIn } from '../fluid/columns.js';
import { areaIn, mapRows } from './areaMap.js';
import type { ArrangementCss, Declarations } from '../arrangement.js';
import type {
  Arrangement,
  CollectionDocument,
  GridHeight,
  Lie,
  Tile,
  TrackSize,
  WholePlace,
} from '../document/types.js';

/** The CSS of a bento in one band, all values said; the page writer leaves out what is carried. */
export function bentoToCss(document: CollectionDocument, band: Band): ArrangementCss {
  const tiles: Record<string, Declarations> = {};
  for (const id of document.order) {
    const tile = document.tiles[id] as Tile;
    const place = placeIn(document, tile, band.index);
    const own = { ...placeCss(place, band), ...fitCss(document, tile, place) };
    if (tile.kind !== 'group') tiles[id] = own;
    else {
      const level = levelOf(document, id);
      const inner = bentoToCss(level, bandsOf(level)[band.index] as Band);
      Object.assign(tiles, inner.tiles, { [id]: { display: 'grid', ...inner.grid, ...own } });
    }
  }
  return { grid: gridCss(band.arrangement), tiles };
}

function gridCss(arrangement: Arrangement): Declarations {
  const { padding, rows } = arrangement;
  const areas = arrangement.kind === 'fluid' ? [] : (arrangement.areas ?? []);
  const map = mapRows(arrangement).map((names) => `"${names.join(' ')}"`);
  return {
    'grid-template-columns':
      arrangement.kind === 'fluid' ? fluidTracks(arrangement) : trackList(arrangement.columns),
    'grid-template-rows': rows.length > 0 ? trackList(rows) : 'none',
    'grid-template-areas': areas.length > 0 ? map.join(' ') : 'none',
    'grid-auto-rows': trackCss(arrangement.autoRows),
    'grid-auto-flow': arrangement.flow === 'dense' ? 'row dense' : 'row',
    gap: shortest([arrangement.rowGap, arrangement.columnGap]),
    padding: shortest([padding.blockStart, padding.inlineEnd, padding.blockEnd, padding.inlineStart]),
    'max-inline-size': arrangement.maxInlineSize === null ? 'none' : px(arrangement.maxInlineSize),
    ...heightCss(arrangement.height ?? { kind: 'content' }),
  };
}

const heightCss = (height: GridHeight): Declarations => ({
  'block-size': height.kind === 'fixed' ? px(height.px) : 'auto',
  'min-block-size': height.kind === 'screen' ? `${Number((height.share * 100).toFixed(2))}vh` : '0',
});

/** As many columns as fit: none narrower than the minimum, none wider than the page, no more than the limit. */
function fluidTracks(arrangement: Arrangement): string {
  const { repeat, minimum, most } = fluidOf(arrangement);
  const share =
    most === null
      ? px(minimum)
      : most === 1
        ? '100%'
        : `max(${px(minimum)}, (100% - ${px((most - 1) * arrangement.columnGap)}) / ${most})`;
  return `repeat(${repeat}, minmax(min(100%, ${share}), 1fr))`;
}

/** A shorthand of two or four sides without the ones that CSS fills in by itself. */
function shortest(sides: readonly number[]): string {
  const [blockStart, inlineEnd, blockEnd, inlineStart] = sides;
  const kept =
    sides.length === 4 && inlineStart !== inlineEnd
      ? sides
      : blockEnd !== undefined && blockEnd !== blockStart
        ? [blockStart, inlineEnd, blockEnd]
        : inlineEnd !== blockStart
          ? [blockStart, inlineEnd]
          : [blockStart];
  return kept.map((side) => px(side ?? 0)).join(' ');
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
function fitCss(document: CollectionDocument, tile: Tile, { fit, layer, order }: WholePlace): Declarations {
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
    ...(places.some((place) => place?.layer) && { 'z-index': String(layer) }),
    ...(places.some((place) => place?.order) && { order: String(order) }),
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
