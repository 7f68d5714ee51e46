import {
  closestCenter,
  DndContext,
  type CollisionDetection,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
} from '@dnd-kit/sortable';
import { moveInOrder } from '@noria/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef } from 'react';
import { beginGesture } from '../../ui/gesture';
import { useAppDispatch, useAppSelector, useAppStore } from '../hooks';
import { count } from '../../ui/words';
import { runHere } from '../here';
import { selectSavedView } from '../selectors';
import { AddTile } from './AddTile';
import { BeltLine } from './BeltLine';
import { BeltTile } from './BeltTile';

/** Width of a thumbnail and what is between two, px. */
const THUMBNAIL = 72;
const GAP = 8;

/** The sensors of the drag listen for Escape themselves. */
const takeBackDrag = () => document.dispatchEvent(new KeyboardEvent('keydown', { code: 'Escape' }));

/** How far from the belt a tile is let go and stays where it was, px. */
const AWAY = 60;

/** Where a tile that is dragged would go; nowhere, off the belt. */
const onBelt: CollisionDetection = (drag) => {
  const { pointerCoordinates: at, droppableRects } = drag;
  const box = droppableRects.values().next().value;
  return at && box && (at.y < box.top - AWAY || at.y > box.bottom + AWAY) ? [] : closestCenter(drag);
};

/** The tiles in reading order: the only list of them. */
export function Belt() {
  const dispatch = useAppDispatch();
  const { order, tiles } = useAppSelector(selectSavedView);
  const store = useAppStore();
  const items = useMemo(() => [...order], [order]);
  const list = useRef<HTMLOListElement>(null);
  // Only the thumbnails in sight, and those at either side, are there.
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is compiled
  const belt = useVirtualizer({
    horizontal: true,
    count: order.length,
    getScrollElement: () => list.current,
    estimateSize: () => THUMBNAIL,
    gap: GAP,
    paddingStart: 6,
    paddingEnd: 6,
    overscan: 12,
  });
  const held = useAppSelector(({ editor }) => editor.selected.at(-1));
  const at = held === undefined ? -1 : order.indexOf(held);
  useEffect(() => {
    if (at === -1) return undefined;
    // Scrolling lays the page out, which is too much for the moment in which a tile is taken.
    const timer = window.setTimeout(() => belt.scrollToIndex(at, { align: 'auto' }), 120);
    return () => window.clearTimeout(timer);
  }, [at, belt]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = useRef<(() => void) | null>(null);
  const begin = () => void (end.current = beginGesture(takeBackDrag));
  // The drag listens on when its view is left.
  useEffect(
    () => () => {
      if (end.current) takeBackDrag();
    },
    [],
  );
  const ended = () => {
    end.current?.();
    end.current = null;
  };
  const place = ({ active, over }: DragEndEvent) => {
    ended();
    if (!over || active.id === over.id) return;
    const id = String(active.id);
    // Several selected ones move together, to where the one that is dragged was let go.
    const { selected } = store.getState().editor;
    const moving = selected.includes(id) ? order.filter((each) => selected.includes(each)) : [id];
    const target = order.indexOf(String(over.id));
    const later = target > order.indexOf(id);
    const before = order
      .slice(0, later ? target + 1 : target)
      .filter((each) => !moving.includes(each)).length;
    dispatch(runHere('Order', moveInOrder(moving, before)));
  };
  return (
    <footer className="col-span-2 grid min-w-0 grid-cols-[var(--side)_minmax(0,1fr)] border-t border-hair bg-panel">
      <div className="grid content-start gap-0.5 px-4 pt-3">
        <div className="flex items-center justify-between">
          <b className="font-[650]">
            {order.length === 0 ? 'No tiles yet' : `${count(order.length, 'tile')}, in reading order`}
          </b>
          <AddTile label="Add" />
        </div>
        <BeltLine />
      </div>
      <div className="relative min-w-0 before:pointer-events-none before:absolute before:inset-x-0 before:top-[64px] before:h-px before:bg-hair">
        <DndContext
          sensors={sensors}
          collisionDetection={onBelt}
          onDragStart={begin}
          onDragCancel={ended}
          onDragEnd={place}
        >
          <SortableContext items={items} strategy={horizontalListSortingStrategy}>
            <ol
              ref={list}
              aria-label="Belt"
              className="relative h-full overflow-x-auto overflow-y-hidden [scrollbar-width:thin]"
            >
              <li aria-hidden className="h-px" style={{ width: belt.getTotalSize() }} />
              {belt.getVirtualItems().map(({ index, start }) => {
                const tile = tiles[order[index] ?? ''];
                return tile && <BeltTile key={tile.id} tile={tile} number={index + 1} start={start} />;
              })}
            </ol>
          </SortableContext>
        </DndContext>
      </div>
    </footer>
  );
}
