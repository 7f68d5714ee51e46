import { evenTracks, insertTrack, removeTrack, resetTrack, type Command, type SetFor } from '@noria/core';
import {
  BetweenHorizontalEnd,
  BetweenHorizontalStart,
  BetweenVerticalEnd,
  BetweenVerticalStart,
  Copy,
  Equal,
  RotateCcw,
  Trash,
  type LucideIcon,
} from 'lucide-react';
import { runHere } from '../here';
import { selectBand, selectSetFor } from '../selectors';
import type { AppThunk } from '../state';

type Axis = 'column' | 'row';

interface Which {
  readonly axis: Axis;
  readonly index: number;
  readonly band: number;
  readonly setFor: SetFor;
}

/** What can be done with one column or row: its words are those of the menu, the tooltip and the history. */
interface TrackCommand {
  readonly id: string;
  readonly words: (axis: Axis) => string;
  readonly icon: Readonly<Record<Axis, LucideIcon>>;
  readonly command: (which: Which) => Command;
}

const both = (icon: LucideIcon) => ({ column: icon, row: icon });
const behind = (which: Which) => ({ ...which, index: which.index + 1 });

/** What a double press on a track does, too. */
export const RESET_TRACK: TrackCommand = {
  id: 'reset',
  words: (axis) => `Reset the ${axis}`,
  icon: both(RotateCcw),
  command: resetTrack,
};

export const TRACK_COMMANDS: readonly TrackCommand[] = [
  {
    id: 'before',
    words: (axis) => `Insert a ${axis} before`,
    icon: { column: BetweenVerticalStart, row: BetweenHorizontalStart },
    command: (which) => insertTrack(which),
  },
  {
    id: 'after',
    words: (axis) => `Insert a ${axis} after`,
    icon: { column: BetweenVerticalEnd, row: BetweenHorizontalEnd },
    command: (which) => insertTrack(behind(which)),
  },
  {
    id: 'duplicate',
    words: (axis) => `Duplicate the ${axis}`,
    icon: both(Copy),
    command: (which) => insertTrack(behind(which), which.index),
  },
  {
    id: 'delete',
    words: (axis) => `Delete the ${axis}`,
    icon: both(Trash),
    command: removeTrack,
  },
  {
    id: 'even',
    words: (axis) => `Make all ${axis}s equal`,
    icon: both(Equal),
    command: evenTracks,
  },
  RESET_TRACK,
];

/** Runs a command of tracks for one track, where the needle stands. */
export const runForTrack =
  ({ words, command }: TrackCommand, axis: Axis, index: number): AppThunk =>
  (dispatch, getState) => {
    const state = getState();
    const which = { axis, index, band: selectBand(state).index, setFor: selectSetFor(state) };
    dispatch(runHere(words(axis), command(which)));
  };
