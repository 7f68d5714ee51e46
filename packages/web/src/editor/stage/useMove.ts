import {
  hasCells,
  moveInOrder,
  nearestLine,
  placeOver,
  movesAtAllWidths,
  rearrange,
  setPin,
  swapTiles,
  type CollectionDocument,
  type LaidOutTile,
  type Layout,
  type TileId,
} from '@noria/core';
import { useRef, useState } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { tilesSelected } from '../editorSlice';
import { selectBand, selectFrame, selectSelected, selectLayout, selectView } from '../selectors';
import { interfaceOf } from '../kinds';
import { useGrab, type Ask, type Way } from './useGrab';
import { withMoreRows, type Box, type StageSpace } from './space';
import type { Ghost } from './MovingGhost';

interface Start {
  readonly view: CollectionDocument;
  /** Whether what moves here moves in other bands too. */
  readonly isWide: boolean;
  readonly layout: Layout;
  readonly tracks: Pick<Layout, 'columns' | 'rows'>;
  readonly from: LaidOutTile;
  readonly ids: readonly TileId[];
  /** The pointer in the layout when it came down, px. */
  readonly x: number;
  readonly y: number;
}

/** The middle of a tile: dropped there, two tiles change places. */
const MIDDLE = 0.3;
const MORE_ROWS = 2;

/** What is said at the tile while it is dragged: all but a plain move. */
const SAYS: Readonly<Record<string, string>> = {
  Swap: 'Changes places',
  'Place over': 'Lies over',
  Pin: 'Pinned here',
};

interface Move {
  readonly space: StageSpace;
  readonly idOf: (target: EventTarget | null) => TileId | undefined;
  readonly onTap: (event: PointerEvent) => void;
  readonly onDone: () => void;
}

/**
 * Rearranges tiles: they take their place in the flow at the cell they are let go at, and the others make
 * room. Onto the middle of another tile they change places with it; with Alt a tile lies over the others,
 * with Shift it is held at the cell.
 */
export function useMove({ space, idOf, onTap, onDone }: Move) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const band = useAppSelector(selectBand);
  const ghost = useRef<Ghost>(null);
  const [moving, setMoving] = useState(false);

  const begin = (way: Way): Start | null => {
    const state = store.getState();
    const layout = selectLayout(state);
    const id = idOf(way.target);
    const from = layout.tiles.find((tile) => tile.id === id);
    if (!from) return null;
    const selected = selectSelected(state).map((tile) => tile.id);
    const ids = selected.includes(from.id) ? selected : [from.id];
    // In a task of its own: what shows a selected tile takes time, and the drag has begun.
    if (ids.length === 1 && selected[0] !== from.id)
      window.setTimeout(() => dispatch(tilesSelected([from.id])));
    const box = (way.target as HTMLElement).getBoundingClientRect();
    return {
      view: selectView(state),
      isWide: band.index > 0 && movesAtAllWidths(selectView(state), band),
      layout,
      tracks: withMoreRows(layout, selectFrame(state), MORE_ROWS),
      from,
      ids,
      x: from.x + (way.x - box.left) / space.scale,
      y: from.y + (way.y - box.top) / space.scale,
    };
  };

  const ask = (way: Way, start: Start): Ask | null => {
    const { view, layout, from, ids, x, y, tracks } = start;
    const [dx, dy] = [way.dx / space.scale, way.dy / space.scale];
    if (!hasCells(band.arrangement.kind)) return askOrder(start, x + dx, y + dy);
    const column = nearestLine(tracks.columns, from.x + dx);
    const row = nearestLine(tracks.rows, from.y + dy);
    const others = ids.filter((id) => id !== from.id);
    const move = () => rearrange(view, band, { tiles: [from.id, ...others], cell: { column, row } }).command;
    const asked = { key: `${column} ${row}`, name: 'Move', command: move };
    const isHome = column === from.column && row === from.row;
    if (others.length > 0) return isHome ? null : asked;
    if (way.event.altKey) {
      const command = () => placeOver(view, from.id, band, { column, row });
      return { key: `over ${column} ${row}`, name: 'Place over', command };
    }
    if (way.event.shiftKey && interfaceOf(band.arrangement).holding?.by === 'pin') {
      const cell = { column: Math.min(column, tracks.columns.length - from.columnSpan + 1), row };
      const command = () => setPin([from.id], band.index, cell);
      return { key: `pin ${cell.column} ${row}`, name: 'Pin', command };
    }
    const target = layout.tiles.find((tile) => tile.id !== from.id && isInMiddle(tile, x + dx, y + dy));
    if (target)
      return { key: `swap ${target.id}`, name: 'Swap', command: () => swapTiles(from.id, target.id) };
    return isHome ? null : asked;
  };

  const bind = useGrab<Start>({
    begin,
    ask,
    onMove: (way, start) => {
      setMoving(way !== null);
      if (!way) return ghost.current?.show(null);
      const name = ask(way, start)?.name ?? '';
      // In a narrower band one would think of it alone.
      const says = name === 'Move' && start.isWide ? 'Moves at all widths' : (SAYS[name] ?? null);
      ghost.current?.show({ box: start.from, dx: way.dx, dy: way.dy, says });
    },
    onTap,
    onDone: () => {
      dispatch(tilesSelected(selectSelected(store.getState()).map(({ id }) => id)));
      onDone();
    },
  });
  return { bind, moving, ghost };
}

/** Where tiles follow their order, a drag moves them in it: before or after the tile they are let go on. */
function askOrder({ view, layout, from, ids }: Start, x: number, y: number): Ask | null {
  const target = layout.tiles.findLast((tile) => !ids.includes(tile.id) && isIn(tile, x, y));
  if (!target) return null;
  if (ids.length === 1 && isInMiddle(target, x, y))
    return { key: `swap ${target.id}`, name: 'Swap', command: () => swapTiles(from.id, target.id) };
  const isAfter = x > target.x + target.inlineSize / 2;
  const rest = view.order.filter((id) => !ids.includes(id));
  const position = rest.indexOf(target.id) + (isAfter ? 1 : 0);
  return { key: `order ${position}`, name: 'Order', command: () => moveInOrder(ids, position) };
}

const isIn = ({ x, y, inlineSize, blockSize }: Box, px: number, py: number) =>
  px >= x && px < x + inlineSize && py >= y && py < y + blockSize;

function isInMiddle({ x, y, inlineSize, blockSize }: Box, px: number, py: number): boolean {
  return (
    Math.abs(px - x - inlineSize / 2) < inlineSize * MIDDLE &&
    Math.abs(py - y - blockSize / 2) < blockSize * MIDDLE
  );
}
