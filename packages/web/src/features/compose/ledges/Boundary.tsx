import { moveBoundary, type Track } from '@noria/core';
import { useAppSelector } from '../../../store/hooks';
import { selectBand, selectSetFor } from '../selectors';
import { useGrab } from '../stage/useGrab';

interface BoundaryProps {
  readonly axis: 'column' | 'row';
  /** The track whose end this is. */
  readonly index: number;
  readonly tracks: readonly Track[];
  readonly scale: number;
}

/** The end of a track on its ledge, which is dragged. The keyboard types sizes instead. */
export function Boundary({ axis, index, tracks, scale }: BoundaryProps) {
  const band = useAppSelector(selectBand);
  const setFor = useAppSelector(selectSetFor);
  const bind = useGrab<readonly number[]>({
    begin: () => tracks.map(({ size }) => size),
    ask: ({ dx, dy }, sizes) => {
      const by = Math.round((axis === 'column' ? dx : dy) / scale);
      if (by === 0) return null;
      return {
        key: String(by),
        name: axis === 'column' ? 'Column size' : 'Row size',
        command: () => moveBoundary({ axis, index, by, sizes, band: band.index, setFor }),
      };
    },
  });
  return (
    <div
      {...bind()}
      data-testid={`${axis}-boundary-${index + 1}`}
      title="Drag to size the track"
      className={`group grid size-full touch-none place-items-center ${axis === 'column' ? 'cursor-col-resize' : 'cursor-row-resize'}`}
    >
      <i
        className={`rounded-full bg-copper opacity-0 group-hover:opacity-100 ${axis === 'column' ? 'h-full w-[3px]' : 'h-[3px] w-full'}`}
      />
    </div>
  );
}
