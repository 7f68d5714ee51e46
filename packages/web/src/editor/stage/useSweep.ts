import { useState } from 'react';
import { useDragGesture } from '../../ui/gesture';
import { isOutside } from './useGrab';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { drawing, drawTile } from '../actions/draw';
import { freshId } from '../actions/freshId';
import { tilesSelected } from '../editorSlice';
import { tryHere } from '../here';
import { selectSelected, selectLayout } from '../selectors';
import { announce } from '../../ui/notices/noticesSlice';
import { areaBetween, boxStyle, nearestCell, type Box, type StageSpace } from './space';
import type { GridArea, Layout, TileId } from '@noria/core';

type Tracks = Pick<Layout, 'columns' | 'rows'>;

interface Point {
  readonly x: number;
  readonly y: number;
}

interface Sweep extends Point {
  readonly does: 'draw' | 'take' | 'paint';
  readonly layout: Layout;
  readonly tracks: Tracks;
  readonly id: TileId;
  readonly before: readonly TileId[];
  key: string;
}

interface Drawn {
  readonly last: boolean;
  readonly canceled: boolean;
  /** Whether the tile lies over those that are there. */
  readonly over: boolean;
}

interface SweepOptions {
  readonly space: StageSpace;
  readonly tracks: Tracks;
  /** A point of the screen in the level’s layout, px. */
  readonly toLayout: (clientX: number, clientY: number) => Point;
  readonly freeAt: (x: number, y: number) => { column: number; row: number } | null;
  /** The cells that are being drawn, and what becomes of the tiles there. */
  readonly onDraw: (area: GridArea | null, says?: string | null) => void;
  readonly onTap: (x: number, y: number) => void;
}

/** A drag over the ground: draws a tile, takes what is inside, or paints an area. */
export function useSweep({ space, tracks, toLayout, freeAt, onDraw, onTap }: SweepOptions) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const layout = useAppSelector(selectLayout);
  const { tool, drawn } = useAppSelector((state) => state.editor);
  const [rectangle, setRectangle] = useState<ReturnType<typeof boxStyle> | null>(null);
  const [painted, setPainted] = useState<{ area: GridArea; done: boolean } | null>(null);

  const draw = (sweep: Sweep, area: GridArea, { last, canceled, over }: Drawn) => {
    const key = [area.column, area.row, area.columnSpan, area.rowSpan, over].join();
    if (last) {
      dispatch(tryHere(null));
      onDraw(null);
      if (!canceled) dispatch(drawTile(drawn, area, over));
    } else if (key !== sweep.key) {
      sweep.key = key;
      const { command, says } = dispatch(drawing(drawn, sweep.id, area, over));
      onDraw(area, says);
      dispatch(tryHere(command));
    }
  };

  const take = (sweep: Sweep, to: Point, last: boolean, canceled: boolean) => {
    const box = {
      x: Math.min(sweep.x, to.x),
      y: Math.min(sweep.y, to.y),
      inlineSize: Math.abs(sweep.x - to.x),
      blockSize: Math.abs(sweep.y - to.y),
    };
    const inside = sweep.layout.tiles.filter((tile) => meets(tile, box)).map(({ id }) => id);
    const ids = canceled ? sweep.before : [...new Set([...sweep.before, ...inside])];
    const key = ids.join();
    if (key !== sweep.key) dispatch(tilesSelected(ids));
    sweep.key = key;
    if (last && !canceled && ids.length > 0) dispatch(announce(`${ids.length} tiles selected.`));
    setRectangle(last ? null : boxStyle(space, box));
  };

  const begin = (from: Point, shift: boolean): Sweep => {
    const does = tool === 'areas' ? 'paint' : !shift && freeAt(from.x, from.y) ? 'draw' : 'take';
    const before = shift ? selectSelected(store.getState()).map(({ id }) => id) : [];
    onDraw(null);
    return { does, layout, tracks, ...from, id: freshId(drawn), before, key: '' };
  };

  const bind = useDragGesture(
    ({ xy, initial, first, last, canceled: isTakenBack, tap, memo, event }) => {
      const to = toLayout(...xy);
      if (tap) {
        onTap(to.x, to.y);
        return undefined;
      }
      const known = first ? undefined : (memo as Sweep | undefined);
      const canceled = isTakenBack || (last && isOutside(...xy));
      const sweep = known ?? begin(toLayout(...initial), (event as PointerEvent).shiftKey);
      if (sweep.does === 'take') take(sweep, to, last, canceled);
      else {
        const from = nearestCell(sweep.tracks, sweep.x, sweep.y);
        const area = areaBetween(from, nearestCell(sweep.tracks, to.x, to.y));
        if (sweep.does === 'paint') setPainted(canceled ? null : { area, done: last });
        else draw(sweep, area, { last, canceled, over: event.altKey });
      }
      return sweep;
    },
    { filterTaps: true, pointer: { capture: true, keys: false } },
  );
  return { bind, rectangle, painted, setPainted };
}

const meets = (a: Box, b: Box) =>
  a.x < b.x + b.inlineSize && b.x < a.x + a.inlineSize && a.y < b.y + b.blockSize && b.y < a.y + a.blockSize;
