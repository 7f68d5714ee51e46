import { bandsOf, placeIn, type Band } from '../document/bands.js';
import { levelOf } from '../document/levels.js';
import { trackCss } from '../css/trackSize.js';
import { px } from '../page/units.js';
import { areaIn, mapRows } from './areaMap.js';
import type { ArrangementCss, Declarations } from '../arrangement.js';
import type {
  BentoArrangement,
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
    const own = { ...placeCss(place, band.arrangement), ...fitCss(document, tile, place) };
    if (tile.kind !== 'group') tiles[id] = own;
    else {
      const level = levelOf(document, id);
      const inner = bentoToCss(level, bandsOf(level)[band.index] as Band);
      Object.assign(tiles, inner.tiles, { [id]: { display: 'grid', ...inner.grid, ...own } });
    }
  }
  return { grid: gridCss(band.arrangement), tiles };
}

function gridCss(arrangement: BentoArrangement): Declarations {
  const { padding, rows, areas = [] } = arrangement;
  const map = mapRows(arrangement).map((names) => `"${names.join(' ')}"`);
  return {
    'grid-template-columns': trackList(arrangement.columns),
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
  arrangement: BentoArrangement,
): Declarations {
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
function fitCss(document: CollectionDocument, tile: Tile, { fit, layer }: WholePlace): Declarations {
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
