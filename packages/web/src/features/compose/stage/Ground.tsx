import { type GridArea, type Layout } from '@noria/core';
import { useDrag } from '@use-gesture/react';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../../../store/hooks';
import { drawCommand, drawTile } from '../actions';
import { freshId } from '../actions/freshId';
import { KindItems } from '../belt/AddTile';
import { taken, takenBare } from '../composeSlice';
import { runHere, tryHere } from '../here';
import { selectBand, selectInHand, selectLayout } from '../selectors';
import { announce } from '../../notices';
import { AreaPainter } from './AreaPainter';
import {
  areaBetween,
  areaBox,
  boxStyle,
  cellAt,
  isTaken,
  nearestCell,
  withMoreRows,
  type StageSpace,
} from './space';
import type { TileId } from '@noria/core';

/** Rows below the last one, and in an empty grid, that can be drawn on. */
const MORE_ROWS = 1;
const EMPTY_ROWS = 4;

type Tracks = Pick<Layout, 'columns' | 'rows'>;

interface Sweep {
  readonly does: 'draw' | 'take' | 'paint';
  readonly layout: Layout;
  readonly tracks: Tracks;
  /** Where it began, px of the level’s layout. */
  readonly x: number;
  readonly y: number;
  readonly id: TileId;
  readonly before: readonly TileId[];
  key: string;
}

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/**
 * The page behind the tiles. A drag that begins on a free cell draws a tile, one that begins elsewhere
 * takes the tiles inside its rectangle; a press on a free cell asks what to put there.
 */
export function Ground({ space, left }: { space: StageSpace; left: number }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const layout = useAppSelector(selectLayout);
  const { arrangement } = useAppSelector(selectBand);
  const { tool, drawn } = useAppSelector((state) => state.compose);
  const ground = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<GridArea | null>(null);
  const [asking, setAsking] = useState<GridArea | null>(null);
  const [rectangle, setRectangle] = useState<Box | null>(null);
  const [painted, setPainted] = useState<{ area: GridArea; done: boolean } | null>(null);
  const stop = useRef<(() => void) | null>(null);
  const more = layout.tiles.length === 0 ? Math.max(MORE_ROWS, EMPTY_ROWS - layout.rows.length) : MORE_ROWS;
  const tracks = withMoreRows(layout, arrangement, more);

  const toLayout = (clientX: number, clientY: number) => {
    const box = ground.current?.getBoundingClientRect();
    return {
      x: (clientX - (box?.left ?? 0) - left) / space.scale - space.x,
      y: (clientY - (box?.top ?? 0)) / space.scale - space.y,
    };
  };
  const freeAt = (x: number, y: number) => {
    const cell = cellAt(tracks, x, y);
    return cell && !isTaken(layout.tiles, cell) ? cell : null;
  };
  const hover = (event: ReactPointerEvent) => {
    if (event.buttons !== 0) return;
    const { x, y } = toLayout(event.clientX, event.clientY);
    const cell = tool === 'areas' ? cellAt(tracks, x, y) : freeAt(x, y);
    if (cell?.column === hovered?.column && cell?.row === hovered?.row) return;
    setHovered(cell && { ...cell, columnSpan: 1, rowSpan: 1 });
  };

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !stop.current) return;
      event.stopPropagation();
      stop.current();
    };
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true });
  }, []);

  const bind = useDrag(
    ({
      xy: [clientX, clientY],
      initial: [fromX, fromY],
      first,
      last,
      canceled,
      tap,
      memo,
      event,
      cancel,
    }) => {
      if ((event.target as HTMLElement) !== ground.current) return undefined;
      const to = toLayout(clientX, clientY);
      if (tap) {
        const cell = tool === 'tiles' ? freeAt(to.x, to.y) : null;
        if (cell) setAsking({ ...cell, columnSpan: 1, rowSpan: 1 });
        else if (selectInHand(store.getState()).length > 0) dispatch(taken([]));
        return undefined;
      }
      let sweep = memo as Sweep | undefined;
      if (first || !sweep) {
        const from = toLayout(fromX, fromY);
        const shift = (event as PointerEvent).shiftKey;
        const does = tool === 'areas' ? 'paint' : !shift && freeAt(from.x, from.y) ? 'draw' : 'take';
        const before = shift ? selectInHand(store.getState()).map(({ id }) => id) : [];
        sweep = { does, layout, tracks, ...from, id: freshId(drawn), before, key: '' };
        setHovered(null);
      }
      stop.current = last ? null : cancel;
      if (sweep.does === 'take') takeInside(sweep, to, last, canceled);
      else {
        const area = areaBetween(
          nearestCell(sweep.tracks, sweep.x, sweep.y),
          nearestCell(sweep.tracks, to.x, to.y),
        );
        if (sweep.does === 'paint') setPainted(canceled ? null : { area, done: last });
        else drawOver(sweep, area, last, canceled);
      }
      return sweep;
    },
    { filterTaps: true, pointer: { capture: true, keys: false } },
  );

  const drawOver = (sweep: Sweep, area: GridArea, last: boolean, canceled: boolean) => {
    const key = [area.column, area.row, area.columnSpan, area.rowSpan].join();
    if (last) {
      dispatch(tryHere(null));
      setHovered(null);
      if (!canceled) dispatch(drawTile(drawn, area));
    } else if (key !== sweep.key) {
      sweep.key = key;
      setHovered(area);
      dispatch(tryHere(dispatch(drawCommand(drawn, sweep.id, area))));
    }
  };

  const takeInside = (sweep: Sweep, to: { x: number; y: number }, last: boolean, canceled: boolean) => {
    const x = Math.min(sweep.x, to.x);
    const y = Math.min(sweep.y, to.y);
    const box = { x, y, inlineSize: Math.abs(sweep.x - to.x), blockSize: Math.abs(sweep.y - to.y) };
    const inside = sweep.layout.tiles
      .filter(
        (tile) =>
          tile.x < x + box.inlineSize &&
          x < tile.x + tile.inlineSize &&
          tile.y < y + box.blockSize &&
          y < tile.y + tile.blockSize,
      )
      .map(({ id }) => id);
    const ids = canceled ? sweep.before : [...new Set([...sweep.before, ...inside])];
    const key = ids.join();
    if (key !== sweep.key) dispatch(takenBare(ids));
    sweep.key = key;
    if (last && !canceled && ids.length > 0) dispatch(announce(`${ids.length} tiles in hand.`));
    setRectangle(last ? null : boxStyle(space, box));
  };

  const shown = asking ?? painted?.area ?? hovered;
  const box = shown && boxStyle(space, areaBox(tracks, shown));
  return (
    <>
      <div
        className={`absolute ${tool === 'areas' ? 'z-[115] cursor-crosshair' : ''}`}
        // Over the ledges’ and the page’s margins too, so that a rectangle can begin beside the page.
        style={{ left: -left, right: -26, top: 0, bottom: -150 }}
        onPointerMove={hover}
        onPointerLeave={() => setHovered(null)}
      >
        <div ref={ground} {...bind()} data-testid="stage-ground" className="size-full touch-none" />
      </div>
      {box && (
        <div
          aria-hidden
          data-testid="free-cell"
          className="pointer-events-none absolute z-[116] grid place-items-center rounded-[10px] border-[1.5px] border-dashed border-copper bg-copper/8 text-copper-ink"
          style={box}
        >
          <span className="text-xs font-semibold">
            {shown.columnSpan * shown.rowSpan > 1
              ? `${shown.columnSpan} × ${shown.rowSpan}`
              : tool === 'areas'
                ? 'paint'
                : '+'}
          </span>
        </div>
      )}
      {rectangle && (
        <div
          aria-hidden
          className="pointer-events-none absolute z-[116] border border-copper bg-copper/10"
          style={rectangle}
        />
      )}
      <DropdownMenu.Root open={asking !== null} onOpenChange={(open) => !open && setAsking(null)}>
        <DropdownMenu.Trigger asChild>
          <span
            aria-hidden
            className="pointer-events-none absolute"
            style={box ?? { left: 0, top: 0 }}
            tabIndex={-1}
          />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={6}
            collisionPadding={12}
            aria-label="What comes here?"
            className="z-[150] min-w-[220px] rounded-m bg-raised p-1 shadow-float"
          >
            <KindItems onChoose={(kind) => asking && dispatch(drawTile(kind, asking))} />
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {painted?.done && box && (
        <AreaPainter
          area={painted.area}
          style={box}
          onDone={(command) => {
            setPainted(null);
            if (command) dispatch(runHere('Paint area', command));
          }}
        />
      )}
    </>
  );
}
