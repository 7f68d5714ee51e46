import { onLevel, type Command } from '@noria/core';
import { run, tryOut } from './document/run';
import { selectLevel } from './selectors';
import type { AppThunk } from './state';

/** Runs a command on the level that one is on, as one undoable step; answers whether it could be run. */
export const runHere =
  (name: string, command: Command, key: string | null = null): AppThunk<boolean> =>
  (dispatch, getState) =>
    dispatch(run(name, onLevel(selectLevel(getState()), command), key));

/** Shows what a command would do on the level that one is on, until it is run or dropped. */
export const tryHere =
  (command: Command | null): AppThunk =>
  (dispatch, getState) => {
    dispatch(tryOut(command && onLevel(selectLevel(getState()), command)));
  };
