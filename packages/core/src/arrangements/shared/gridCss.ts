import { trackCss } from '../../engine/css/trackSize.js';
import { placeIn } from '../../document/bands.js';
import { pictureOf } from '../../document/card.js';
import { frameCss, stackCss } from './css.js';
import { rowSizesOf } from './rowSizes.js';
import { heldCss, SQUARE_ROWS, squares, WHOLE_SQUARES } from './squares.js';
import type { CssInput, LevelCss } from '../kind.js';
import type { Declarations } from '../../engine/css/rule.js';
import { lengthCss } from '../../engine/css/writtenLength.js';
import type {
  CollectionDocument,
  Lie,
  Tile,
  TrackSize,
  WholePlace,
  WrittenLength,
} from '../../document/types.js';

/** What a grid of cells says that not every one says alike. */
interface OfCells {
  /** `grid-template-columns`. */
  readonly columns: string;
  /** `grid-template-areas`. */
  readonly areas: string;
  /** Where a tile lies that is not held in square cells. */
  readonly place: (place: WholePlace) => Declarations;
}

/** The CSS of a level whose tiles take cells, in one band, all values said; the page writer leaves out what is inherited. */
export function gridCss(
  { document, band, layout, isSquareGroup }: CssInput,
  { columns, areas, place: placeCss }: OfCells,
): LevelCss {
  const { arrangement } = band;
  const tiles: Record<string, Declarations> = {};
  const laid = arrangement.cells === 'square' ? layout() : null;
  const held = laid && new Map(laid.tiles.map((tile) => [tile.id, tile]));
  for (const id of document.order) {
    const tile = document.tiles[id] as Tile;
    const place = placeIn(document, tile, band.index);
    tiles[id] = held
      ? { ...heldCss(held.get(id)), ...WHOLE_SQUARES, ...stackCss(document, tile, place) }
      : {
          ...placeCss(place),
          ...fitCss(document, tile, place),
          ...(place.fit.block === 'stretch' && isSquareGroup(tile) && { 'align-self': 'start' }),
          ...stackCss(document, tile, place),
        };
  }
  const { rows, autoRows } = rowSizesOf(arrangement);
  return {
    grid: {
      display: 'grid',
      'grid-template-columns': columns,
      'grid-template-areas': areas,
      ...(laid
        ? SQUARE_ROWS
        : {
            'grid-template-rows': rows.length > 0 ? trackList(rows) : 'none',
            'grid-auto-rows': trackCss(autoRows),
          }),
      'grid-auto-flow': arrangement.flow === 'dense' ? 'row dense' : 'row',
      ...frameCss(arrangement),
    },
    ...(laid && { before: squares(laid.rows.length, arrangement) }),
    tiles,
  };
}

const SELF: Readonly<Record<Lie, string>> = { stretch: 'auto', start: 'start', center: 'center', end: 'end' };

/** How a tile lies in its cells; nothing for one that fills them in every band, as most do. */
function fitCss(document: CollectionDocument, tile: Tile, { fit }: WholePlace): Declarations {
  const places = [tile.place, ...document.bands.map((band) => band.tiles[tile.id])];
  const size = (lie: Lie, own: WrittenLength | null) =>
    lie !== 'stretch' ? (own === null ? 'auto' : lengthCss(own)) : pictureOf(tile) ? '100%' : 'auto';
  const most = (lie: Lie) => (lie === 'stretch' ? 'none' : '100%');
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

/** A list of tracks as CSS: equal neighbours are written once with `repeat()`. */
export function trackList(tracks: readonly TrackSize[]): string {
  const runs: { size: string; count: number }[] = [];
  for (const track of tracks) {
    const size = trackCss(track);
    const last = runs.at(-1);
    if (last?.size === size) last.count++;
    else runs.push({ size, count: 1 });
  }
  return runs.map(({ size, count }) => (count > 1 ? `repeat(${count}, ${size})` : size)).join(' ');
}
