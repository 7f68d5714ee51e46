import { resetTrack, setTrack, type Track } from '@noria/core';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { runHere } from '../here';
import { warn } from '../../notices';
import { selectBand, selectLayout, selectSetFor } from '../selectors';
import { TrackCell } from './TrackCell';
import type { StageSpace } from '../stage/space';

/** The columns along the top of the page: each shows its size and takes another. */
export function ColumnLedge({ space, left }: { space: StageSpace; left: number }) {
  const { columns } = useAppSelector(selectLayout);
  const { arrangement } = useAppSelector(selectBand);
  return (
    <Ledge
      name="Columns"
      axis="column"
      tracks={columns}
      sizes={arrangement.columns}
      className="sticky top-0 z-30 h-[34px] bg-ground pt-[14px]"
    >
      {(track, cell) => (
        <div
          className="absolute top-[14px] h-4"
          style={{ left: left + (track.start + space.offset) * space.scale, width: track.size * space.scale }}
        >
          {cell}
        </div>
      )}
    </Ledge>
  );
}

/** The rows along the left of the page. */
export function RowLedge({ space, top, left }: { space: StageSpace; top: number; left: number }) {
  const { rows } = useAppSelector(selectLayout);
  const { arrangement } = useAppSelector(selectBand);
  const sizes = rows.map((_, k) => arrangement.rows[k] ?? arrangement.autoRows);
  return (
    <Ledge
      name="Rows"
      axis="row"
      tracks={rows}
      sizes={sizes}
      className="absolute w-8"
      style={{ top, left: left - 38 }}
    >
      {(track, cell) => (
        <div
          className="absolute w-8"
          style={{ top: track.start * space.scale, height: track.size * space.scale }}
        >
          {cell}
        </div>
      )}
    </Ledge>
  );
}

interface LedgeProps {
  readonly name: string;
  readonly axis: 'column' | 'row';
  readonly tracks: readonly Track[];
  readonly sizes: readonly string[];
  readonly className: string;
  readonly style?: { top: number; left: number };
  readonly children: (track: Track, cell: React.ReactNode) => React.ReactNode;
}

function Ledge({ name, axis, tracks, sizes, className, style, children }: LedgeProps) {
  const dispatch = useAppDispatch();
  const band = useAppSelector(selectBand).index;
  const setFor = useAppSelector(selectSetFor);
  const isRow = axis === 'row';
  return (
    <div role="group" aria-label={name} className={className} style={style}>
      {tracks.map((track, index) => {
        const set = (size: string) => {
          try {
            dispatch(runHere(isRow ? 'Row size' : 'Column size', setTrack({ axis, index, size, band, setFor })));
            return true;
          } catch (error) {
            dispatch(warn(error instanceof Error ? error.message : String(error)));
            return false;
          }
        };
        const reset = () => dispatch(runHere('Reset track', resetTrack({ axis, index, band, setFor })));
        const cell = (
          <TrackCell
            name={`${isRow ? 'Row' : 'Column'} ${index + 1}`}
            size={sizes[index] ?? ''}
            upright={isRow}
            onSet={set}
            onReset={reset}
          />
        );
        return <div key={index}>{children(track, cell)}</div>;
      })}
    </div>
  );
}
