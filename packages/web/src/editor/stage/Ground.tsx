import { areaMap, hasCells, removeArea } from '@noria/core';
import { Plus, Trash } from 'lucide-react';
import { Suspense, useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { drawTile } from '../actions/tiles';
import { tilesSelected } from '../editorSlice';
import { runHere } from '../here';
import { selectBand, selectSelected, selectLayout, selectSetFor } from '../selectors';
import { areaBox, boxStyle, cellAt, isTaken, withMoreRows, type StageSpace } from './space';
import { useSweep } from './useSweep';
import { GRID_MENU } from '../commands/menus';
import type { MenuEntry } from '../../ui/PointMenu';
import { whenShown } from '../../ui/lazily';
import type { GridArea } from '@noria/core';

const AreaPainter = whenShown(() => import('./AreaPainter').then((file) => file.AreaPainter));
const CommandMenu = whenShown(() => import('../commands/CommandMenu').then((file) => file.CommandMenu));
const GroundMenu = whenShown(() => import('./GroundMenu').then((file) => file.GroundMenu));

/** What a menu was asked for. */
interface MenuOf {
  readonly at: { readonly x: number; readonly y: number };
  readonly free: { readonly column: number; readonly row: number } | null;
  /** The area that the cell belongs to. */
  readonly area: string | null;
}

/** Rows below the last one, and in an empty grid, that can be drawn on. */
const MORE_ROWS = 1;
const EMPTY_ROWS = 4;

/**
 * The page behind the tiles. A drag that begins on a free cell draws a tile, one that begins elsewhere
 * takes the tiles inside its rectangle; a press on a free cell asks what to put there.
 */
export function Ground({ space, left }: { space: StageSpace; left: number }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const layout = useAppSelector(selectLayout);
  const { arrangement, index } = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const { tool } = useAppSelector((state) => state.editor);
  const ground = useRef<HTMLDivElement>(null);
  const [hovered, setHovered] = useState<GridArea | null>(null);
  const [asking, setAsking] = useState<GridArea | null>(null);
  const [menu, setMenu] = useState<MenuOf | null>(null);
  const more = layout.tiles.length === 0 ? Math.max(MORE_ROWS, EMPTY_ROWS - layout.rows.length) : MORE_ROWS;
  const tracks = hasCells(arrangement.kind)
    ? withMoreRows(layout, arrangement, more)
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
    onDraw: setHovered,
    onTap: (x, y) => {
      const cell = tool === 'tiles' ? freeAt(x, y) : null;
      if (cell) setAsking({ ...cell, columnSpan: 1, rowSpan: 1 });
      else if (selectSelected(store.getState()).length > 0) dispatch(tilesSelected([]));
    },
  });

  const areaAt = (cell: { column: number; row: number }): string | null =>
    [...(areaMap(arrangement)?.areas ?? [])].find(
      ([, area]) =>
        cell.column >= area.columnStart &&
        cell.column < area.columnEnd &&
        cell.row >= area.rowStart &&
        cell.row < area.rowEnd,
    )?.[0] ?? null;
  const entries = ({ free, area }: MenuOf): MenuEntry[] => [
    ...(free
      ? [
          {
            id: 'add-here',
            words: 'Add a tile here…',
            icon: Plus,
            run: () => setAsking({ ...free, columnSpan: 1, rowSpan: 1 }),
          },
        ]
      : []),
    ...(area === null
      ? []
      : [
          {
            id: 'remove-area',
            words: `Remove the area “${area}”`,
            icon: Trash,
            run: () => dispatch(runHere('Remove area', removeArea(area, index, setFor))),
          },
        ]),
  ];

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
          const cell = cellAt(tracks, x, y);
          setMenu({
            at: { x: event.clientX, y: event.clientY },
            free: freeAt(x, y),
            area: cell && areaAt(cell),
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
      {menu && (
        <Suspense>
          <CommandMenu
            name="Grid"
            at={menu.at}
            of={GRID_MENU}
            first={entries(menu)}
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
