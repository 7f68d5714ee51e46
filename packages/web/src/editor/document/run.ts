import { change, patchCommand, type CollectionDocument, type Command, type JsonPatch } from '@noria/core';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { newEntryId } from '../../api/ids';
import { moveOver } from './moveOver';
import { changed, redone, tried, undone } from './documentSlice';
import type { AppThunk } from '../state';

/**
 * Runs a command as one undoable step. Steps of the same key in close succession become one. Answers
 * false where it can't be run, and says why.
 */
export const run =
  (name: string, command: Command, key: string | null = null): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { document } = getState().document;
    if (!document) return false;
    try {
      const made = change(document, command, newEntryId);
      if (made.patch.length === 0) {
        dispatch(tried(null));
        return true;
      }
      const step = { name, patch: made.patch, inverse: made.inverse, key, at: Date.now() };
      dispatch(changed({ document: made.document, step }));
      return true;
    } catch (error) {
      dispatch(tried(null));
      dispatch(warn(error instanceof Error ? error.message : String(error)));
      return false;
    }
  };

/** Shows what a command would do, until it is run or dropped. */
export const tryOut =
  (command: Command | null): AppThunk =>
  (dispatch, getState) => {
    const { document, trial } = getState().document;
    if (!document) return;
    if (command) dispatch(tried(outcome(document, command)));
    else if (trial) dispatch(tried(null));
  };

/** What a command makes of a document; null where it can't be run, which is said when it is. */
export function outcome(document: CollectionDocument, command: Command): CollectionDocument | null {
  try {
    return change(document, command).document;
  } catch {
    return null;
  }
}

/** Runs a patch that was worked out elsewhere as one undoable step. */
export const runPatch =
  (name: string, patch: JsonPatch): AppThunk =>
  (dispatch) => {
    dispatch(run(name, patchCommand(patch)));
  };

/** Shows what a patch would do, until it is run or dropped. */
export const tryPatch =
  (patch: JsonPatch | null): AppThunk =>
  (dispatch) => {
    dispatch(tryOut(patch && patchCommand(patch)));
  };

export const undo = (): AppThunk => (dispatch, getState) => {
  const { document, past } = getState().document;
  const moved = document && moveOver(document, past, 'inverse');
  if (!moved) return;
  dispatch(undone(moved));
  dispatch(announce(`Undone: ${moved.step.name}`));
};

export const redo = (): AppThunk => (dispatch, getState) => {
  const { document, future } = getState().document;
  const moved = document && moveOver(document, future, 'patch');
  if (!moved) return;
  dispatch(redone(moved));
  dispatch(announce(`Redone: ${moved.step.name}`));
};

/** Undoes or redoes until so many steps are done. */
export const goToStep =
  (count: number): AppThunk =>
  (dispatch, getState) => {
    for (let past = getState().document.past.length; past > count; past--) dispatch(undo());
    for (let past = getState().document.past.length; past < count; past++) dispatch(redo());
  };
