import { moveBoundary } from '@noria/core';
import { useAppStore } from '../hooks';
import { selectBand, selectLayout, selectSetFor } from '../selectors';
import { useGrab } from '../stage/useGrab';

interface BoundaryProps {
  readonly axis: 'column' | 'row';
  /** The track whose end this is. */
  readonly index: number;
  readonly scale: number;
}

/** The end of a track on its ledge, which is dragged. The keyboard types sizes instead. */
export function Boundary({ axis, index, scale }: BoundaryProps) {
  const store = useAppStore();
  const bind = useGrab<readonly number[]>({
    begin: () => {
      const { columns, rows } = selectLayout(store.getState());
      return (axis === 'column' ? columns : rows).map(({ size }) => size);
    },
    ask: ({ dx, dy }, sizes) => {
      const by = Math.round((axis === 'column' ? dx : dy) / scale);
      if (by === 0) return null;
      const where = { band: selectBand(store.getState()).index, setFor: selectSetFor(store.getState()) };
      return {
        key: String(by),
        name: axis === 'column' ? 'Column size' : 'Row size',
        command: () => moveBoundary({ axis, index, by, sizes, ...where }),
      };
    },
  });
  return (
    <div
      {...bind()}
      data-testid={`${axis}-boundary-${index + 1}`}
      title="Drag to resize the track"
      className={`group grid size-full touch-none place-items-center ${axis === 'column' ? 'cursor-col-resize' : 'cursor-row-resize'}`}
    >
      <i
        className={`rounded-full bg-copper opacity-0 group-hover:opacity-100 ${axis === 'column' ? 'h-full w-[3px]' : 'h-[3px] w-full'}`}
      />
    </div>
  );
}
