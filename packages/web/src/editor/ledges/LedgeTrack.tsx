import { setTrack } from '@noria/core';
import { memo } from 'react';
import { useAppDispatch } from '../hooks';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';
import { Boundary } from './Boundary';
import { runForTrack } from '../commands/trackCommands';
import { TrackCell } from './TrackCell';
import type { AppThunk } from '../state';

interface LedgeTrackProps {
  readonly axis: 'column' | 'row';
  readonly index: number;
  /** Its size as written. */
  readonly text: string;
  /** Where it lies along the ledge, px of the screen. */
  readonly start: number;
  readonly size: number;
  readonly scale: number;
}

/** One track on its ledge, with the boundary at its end. */
export const LedgeTrack = memo(function LedgeTrack({
  axis,
  index,
  text,
  start,
  size,
  scale,
}: LedgeTrackProps) {
  const dispatch = useAppDispatch();
  const isRow = axis === 'row';
  const cell = isRow
    ? { top: start, height: size, width: 32 }
    : { left: start, width: size, top: 14, height: 16 };
  const edge = isRow
    ? { top: start + size - 4, left: 0, width: 32, height: 8 }
    : { left: start + size - 4, top: 12, width: 8, height: 20 };
  return (
    <>
      <div className="absolute" style={cell}>
        <TrackCell
          axis={axis}
          name={`${isRow ? 'Row' : 'Column'} ${index + 1}`}
          size={text}
          onSet={(typed) => dispatch(setSize(axis, index, typed))}
          onRun={(command) => dispatch(runForTrack(command, axis, index))}
        />
      </div>
      <div className="absolute" style={edge}>
        <Boundary axis={axis} index={index} scale={scale} />
      </div>
    </>
  );
});

const setSize =
  (axis: 'column' | 'row', index: number, size: string): AppThunk =>
  (dispatch, getState) => {
    const where = { band: selectBand(getState()).index, setFor: selectSetFor(getState()) };
    const name = `${axis === 'row' ? 'Row' : 'Column'} size`;
    dispatch(runHere(name, setTrack({ axis, index, size, ...where })));
  };
