import { hasCells } from '@noria/core';
import {
  Suspense,
  useImperativeHandle,
  useRef,
  useState,
  type PointerEvent as ReactPointerEvent,
  type Ref,
} from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { drawTile } from '../actions/draw';
import { tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectFrame, selectSelected, selectLayout } from '../selectors';
import { areaBox, boxStyle, cellAt, isTaken, withMoreRows, type StageSpace } from './space';
import { useSweep } from './useSweep';
import type { GridMenuProps } from './GridMenu';
import { whenShown } from '../../ui/lazily';
import type { GridArea } from '@noria/core';

const AreaPainter = whenShown(() => import('./AreaPainter').then((file) => file.AreaPainter));
const GridMenu = whenShown(() => import('./GridMenu').then((file) => file.GridMenu));
const GroundMenu = whenShown(() => import('./GroundMenu').then((file) => file.GroundMenu));

/** Rows below the last one, and in an empty grid, that can be drawn on. */
const MORE_ROWS = 1;
const EMPTY_ROWS = 4;

/** What is asked of the ground from outside. */
export interface GroundHandle {
  /** Shows the free cell at a point of the screen, as the one that something is dropped on; null: none any more. */
  readonly pointAt: (point: { readonly x: number; readonly y: number } | null) => GridArea | null;
}

interface GroundProps {
  readonly space: StageSpace;
  readonly left: number;
  readonly ref?: Ref<GroundHandle>;
}

/**
 * The page behind the tiles. A drag that begins on a free cell draws a tile, one that begins elsewhere
 * takes the tiles inside its rectangle; a press on a free cell asks what to put there.
 */
export function Ground({ space, left, ref }: GroundProps) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const layout = useAppSelector(selectLayout);
  const { arrangement } = useAppSelector(selectBand);
  const frame = useAppSelector(selectFrame);
  const { tool } = useAppSelector((state) => state.editor);
  const ground = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<GridArea | null>(null);
  const [says, setSays] = useState<string | null>(null);
  const [asking, setAsking] = useState<GridArea | null>(null);
  const [menu, setMenu] = useState<Omit<GridMenuProps, 'onAddHere' | 'onClose'> | null>(null);
  const more = layout.tiles.length === 0 ? Math.max(MORE_ROWS, EMPTY_ROWS - layout.rows.length) : MORE_ROWS;
  const tracks = hasCells(arrangement.kind)
    ? withMoreRows(layout, frame, more)
    : { columns: layout.columns, rows: [] };

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
  useImperativeHandle(ref, () => ({
    pointAt: (point) => {
      const at = point && toLayout(point.x, point.y);
      const cell = at && freeAt(at.x, at.y);
      const area = cell && { ...cell, columnSpan: 1, rowSpan: 1 };
      setHovered(area);
      return area;
    },
  }));
  const hover = (event: ReactPointerEvent) => {
    if (event.buttons !== 0) return;
    const { x, y } = toLayout(event.clientX, event.clientY);
    const cell = tool === 'areas' ? cellAt(tracks, x, y) : freeAt(x, y);
    if (cell?.column === hovered?.column && cell?.row === hovered?.row) return;
    setHovered(cell && { ...cell, columnSpan: 1, rowSpan: 1 });
  };

  const { bind, rectangle, painted, setPainted } = useSweep({
    space,
    tracks,
    toLayout,
    freeAt,
    onDraw: (area, words = null) => {
      setHovered(area);
      setSays(words);
    },
    onTap: (x, y) => {
      const cell = tool === 'tiles' ? freeAt(x, y) : null;
      if (cell) setAsking({ ...cell, columnSpan: 1, rowSpan: 1 });
      else if (selectSelected(store.getState()).length > 0) dispatch(tilesSelected([]));
    },
  });

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
        onContextMenu={(event) => {
          event.preventDefault();
          const { x, y } = toLayout(event.clientX, event.clientY);
          setMenu({
            at: { x: event.clientX, y: event.clientY },
            cell: cellAt(tracks, x, y),
            isFree: freeAt(x, y) !== null,
          });
        }}
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
          <span
            className={`text-xs font-semibold ${says ? 'rounded-s bg-copper px-[7px] py-1 leading-none whitespace-nowrap text-on-copper' : ''}`}
          >
            {shown.columnSpan * shown.rowSpan > 1
              ? `${shown.columnSpan} × ${shown.rowSpan}`
              : tool === 'areas'
                ? 'paint'
                : '+'}
            {says && `, ${says}`}
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
      {menu && (
        <Suspense>
          <GridMenu
            {...menu}
            onAddHere={(cell) => setAsking({ ...cell, columnSpan: 1, rowSpan: 1 })}
            onClose={() => setMenu(null)}
          />
        </Suspense>
      )}
      {asking && box && (
        <Suspense>
          <GroundMenu
            style={box}
            onChoose={(kind) => dispatch(drawTile(kind, asking))}
            onClose={() => setAsking(null)}
          />
        </Suspense>
      )}
      {painted?.done && box && (
        <Suspense>
          <AreaPainter
            area={painted.area}
            style={box}
            onDone={(command) => {
              setPainted(null);
              if (command) dispatch(runHere('Paint area', command));
            }}
          />
        </Suspense>
      )}
    </>
  );
}
