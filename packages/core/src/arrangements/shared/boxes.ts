import { INITIAL_STYLE, type BoxStyle, type Sides } from '../../engine/box/style.js';
import { frameOf } from '../../engine/box/sizes.js';
import { layoutBox } from '../../engine/box/layoutBox.js';
import { measuredIn } from '../../document/measured.js';
import { coverage, type Coverage } from '../../geometry/coverage.js';
import { documentIn } from '../../document/bandLooks.js';
import { shownTiles } from '../../document/bands.js';
import type { Box, Fragment, Inside, CustomCells, CustomInside } from '../../engine/box/box.js';
import type { MeasuredArrangement, Tile, TileId, WholePlace } from '../../document/types.js';
import type { GridArea } from '../../geometry/area.js';
import type { LevelBox, LevelInput } from '../kind.js';
import type { Track } from '../../geometry/track.js';

/** A box that needs no content because it only fills what it is given. */
export const plainBox = (id: string): Box => ({
  id,
  isGridRoot: false,
  style: INITIAL_STYLE,
  children: [],
  text: null,
  natural: null,
});

/** A level's own box: its padding, gaps, width and height. */
export function frameStyle(
  { columnGap, rowGap, padding, height, maxInlineSize }: MeasuredArrangement,
  screenBlockSize: number,
): BoxStyle {
  return {
    ...INITIAL_STYLE,
    display: 'grid',
    boxSizing: 'border-box',
    columnGap,
    rowGap,
    padding: [padding.blockStart, padding.inlineEnd, padding.blockEnd, padding.inlineStart],
    maxInlineSize: maxInlineSize ?? 'none',
    minInlineSize: 0,
    minBlockSize: height?.kind === 'screen' ? height.share * screenBlockSize : 0,
    ...(height?.kind === 'fixed' && { blockSize: height.px }),
  };
}

/** A level that lays its tiles out itself, with the frame of a style. */
export const customBox = (style: BoxStyle, lay: (inside: Inside) => CustomInside): Box => ({
  ...plainBox(''),
  id: null,
  isGridRoot: true,
  style: { ...style, display: 'custom' },
  custom: lay,
});

/** Padding and border of a laid out level, px. */
export const resolvedFrame = ({ box, inlineSize }: Fragment): Sides<number> => frameOf(box.style, inlineSize);

/** A tile put where a level has room for it, px from the level's border box. */
export function putTile(box: Box, x: number, y: number, inlineSize: number, blockSize: number): Fragment {
  if (box.style.display === 'block' && box.children.length === 0)
    return { box, x, y, inlineSize, blockSize, children: [] };
  const { fragment } = layoutBox(box, { inline: inlineSize, block: blockSize, inlineSize, blockSize });
  return Object.assign(fragment, { x, y });
}

/** So many even columns inside of a frame. */
export function tracksOfOneSize(count: number, inner: number, gap: number, start: number): Track[] {
  const size = Math.max(0, (inner - (count - 1) * gap) / count);
  return Array.from({ length: count }, (_, k) => ({ start: start + k * (size + gap), size }));
}

/** Where there are no cells, there is nothing that could be a hole. */
const NO_HOLES: Coverage = coverage([], 0, 0);

/** What a level that lays its tiles out itself makes its boxes of. */
export interface CustomTile {
  readonly tile: Tile;
  readonly place: WholePlace;
  readonly box: Box;
}

/** A level that lays its tiles out itself, in the order in which they are seen. */
interface CustomLevel {
  /** The box of a tile that is no group and follows its content; null, or left out: it fills what it is given. */
  readonly boxOf?: (tile: Tile) => Box | null;
  /** What does not depend on the size is worked out once; then where the tiles lie, and their cells. */
  readonly lay: (tiles: readonly CustomTile[]) => (inside: Inside) => CustomFill;
}

/** How the tiles fill an inside. */
interface CustomFill extends Pick<CustomCells, 'columns' | 'rows'> {
  readonly blockSize: number;
  /** A fragment and an area for each tile, as they are seen. */
  readonly fragments: readonly Fragment[];
  readonly areas: readonly GridArea[];
  /** Left out: there are no cells. */
  readonly coverage?: Coverage;
}

/**
 * A level of a kind that CSS writes in other words than it is laid out. Its boxes and areas come out
 * in reading order, whatever the order in which tiles are seen.
 */
export function customLevel(
  { document, band, screenBlockSize, group }: LevelInput,
  { boxOf, lay }: CustomLevel,
): LevelBox {
  const looks = documentIn(document, band.index);
  const groups: Record<TileId, LevelBox> = {};
  let measures = false;
  const tiles = shownTiles(looks, band).map(({ tile, place }): CustomTile => {
    if (tile.kind === 'group') {
      const inner = (groups[tile.id] = group(tile.id));
      measures ||= inner.measures;
      return { tile, place, box: inner.box };
    }
    const measured = boxOf?.(tile) ?? null;
    measures ||= measured !== null;
    return { tile, place, box: measured ?? plainBox(tile.id) };
  });
  const at = new Map(tiles.map(({ tile }, k) => [tile.id, k]));
  const order = document.order.flatMap((id) => at.get(id) ?? []);
  const fill = lay(tiles);
  return {
    box: customBox(frameStyle(measuredIn(band), screenBlockSize), (inside) => {
      const { blockSize, fragments, areas, columns, rows, coverage: covered = NO_HOLES } = fill(inside);
      return {
        blockSize,
        children: inOrder(order, fragments),
        cells: { areas: inOrder(order, areas), columns, rows, coverage: covered },
      };
    }),
    measures,
    cells: ({ cells }) => ({ ...(cells ?? NO_CELLS), groups }),
  };
}

function inOrder<T>(order: readonly number[], all: readonly T[]): T[] {
  return order.map((k) => all[k] as T);
}

const NO_CELLS: CustomCells = { areas: [], columns: [], rows: [], coverage: NO_HOLES };
