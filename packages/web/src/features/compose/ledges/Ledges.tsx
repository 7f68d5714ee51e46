import {
  evenTracks,
  explicitTracks,
  insertTrack,
  removeTrack,
  resetTrack,
  setTrack,
  type Command,
  type Track,
} from '@noria/core';
import type { ReactNode } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/hooks';
import { warn } from '../../notices';
import { runHere } from '../here';
import { selectBand, selectLayout, selectSetFor, selectView } from '../selectors';
import { Boundary } from './Boundary';
import { TrackCell, type TrackAct } from './TrackCell';
import type { StageSpace } from '../stage/space';

interface LedgeProps {
  readonly space: StageSpace;
  readonly left: number;
}

/** The columns along the top of the page: each shows its size and takes another. */
export function ColumnLedge({ space, left }: LedgeProps) {
  const { columns } = useAppSelector(selectLayout);
  const at = (track: Track) => left + (track.start + space.x) * space.scale;
  return (
    <Ledge
      name="Columns"
      axis="column"
      tracks={columns}
      space={space}
      className="sticky top-0 z-[118] h-[34px] bg-ground pt-[14px]"
      place={(track) => ({ left: at(track), width: track.size * space.scale, top: 14, height: 16 })}
      edge={(track) => ({ left: at(track) + track.size * space.scale - 4, top: 12, width: 8, height: 20 })}
    />
  );
}

/** The rows along the left of the page. */
export function RowLedge({ space, top, left }: LedgeProps & { top: number }) {
  const { rows } = useAppSelector(selectLayout);
  const at = (track: Track) => (track.start + space.y) * space.scale;
  return (
    <Ledge
      name="Rows"
      axis="row"
      tracks={rows}
      space={space}
      className="absolute z-[117] w-8"
      style={{ top, left: left - 38 }}
      place={(track) => ({ top: at(track), height: track.size * space.scale, width: 32 })}
      edge={(track) => ({ top: at(track) + track.size * space.scale - 4, left: 0, width: 32, height: 8 })}
    />
  );
}

interface Rectangle {
  readonly left?: number;
  readonly top?: number;
  readonly width: number;
  readonly height: number;
}

interface AxisProps {
  readonly name: string;
  readonly axis: 'column' | 'row';
  readonly tracks: readonly Track[];
  readonly space: StageSpace;
  readonly className: string;
  readonly style?: { top: number; left: number };
  readonly place: (track: Track) => Rectangle;
  /** Where the end of a track is taken hold of. */
  readonly edge: (track: Track) => Rectangle;
}

function Ledge({ name, axis, tracks, space, className, style, place, edge }: AxisProps) {
  const dispatch = useAppDispatch();
  const view = useAppSelector(selectView);
  const band = useAppSelector(selectBand).index;
  const setFor = useAppSelector(selectSetFor);
  const isRow = axis === 'row';
  const sizes = explicitTracks(view, axis, band, tracks.length);
  const of = isRow ? 'Row' : 'Column';

  const act = (index: number, what: TrackAct) => {
    const which = { axis, index, band, setFor };
    const [step, command]: [string, Command] = {
      before: [`Insert ${axis}`, insertTrack(which)] as [string, Command],
      after: [`Insert ${axis}`, insertTrack({ ...which, index: index + 1 })] as [string, Command],
      duplicate: [`Duplicate ${axis}`, insertTrack({ ...which, index: index + 1 }, index)] as [
        string,
        Command,
      ],
      remove: [`Remove ${axis}`, removeTrack(which)] as [string, Command],
      even: ['Even out', evenTracks(which)] as [string, Command],
      reset: ['Reset track', resetTrack(which)] as [string, Command],
    }[what];
    dispatch(runHere(step, command));
  };
  const set = (index: number, typed: string) => {
    // A bare number is px.
    const size = /^\d+(\.\d+)?$/.test(typed) ? `${typed}px` : typed;
    try {
      dispatch(runHere(`${of} size`, setTrack({ axis, index, size, band, setFor })));
      return true;
    } catch (error) {
      dispatch(warn(error instanceof Error ? error.message : String(error)));
      return false;
    }
  };

  return (
    <div role="group" aria-label={name} className={className} style={style}>
      {tracks.map((track, index) => (
        <Placed key={index} at={place(track)}>
          <TrackCell
            name={`${of} ${index + 1}`}
            size={sizes[index] ?? ''}
            upright={isRow}
            onSet={(size) => set(index, size)}
            onAct={(what) => act(index, what)}
          />
        </Placed>
      ))}
      {tracks.map((track, index) => (
        <Placed key={index} at={edge(track)}>
          <Boundary axis={axis} index={index} tracks={tracks} scale={space.scale} />
        </Placed>
      ))}
    </div>
  );
}

const Placed = ({ at, children }: { at: Rectangle; children: ReactNode }) => (
  <div className="absolute" style={at}>
    {children}
  </div>
);
