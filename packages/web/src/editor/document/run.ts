import {
  applyPatch,
  change,
  difference,
  patchCommand,
  withoutDerived,
  type CollectionDocument,
  type Command,
  type JsonPatch,
} from '@noria/core';
import { gestureUnderWay } from '../../ui/gesture';
import { count } from '../../ui/words';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { newEntryId } from '../../api/ids';
import { moveOverSome } from './moveOver';
import { changed, isOneStep, redone, takenBack, tried, undone, type Step } from './documentSlice';
import type { AppThunk } from '../state';

/**
 * Runs a command as one undoable step. Steps of the same key in close succession become one, and none where
 * they come to nothing. Answers false where it can't be run, and says why.
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
      const last = getState().document.past.at(-1);
      const gesture = gestureUnderWay();
      const one = key !== null && gesture !== null ? `${key}, gesture ${gesture}` : key;
      // A gesture is one step, however long it takes.
      const at = gesture !== null && last?.key === one ? last.at : Date.now();
      const step = { name, patch: made.patch, inverse: made.inverse, key: one, at };
      if (isOneStep(last, step) && last.seams === undefined) {
        // Something was typed, and restored.
        const before = applyPatch(document, last.inverse);
        if (isSame(before, made.document)) {
          dispatch(takenBack({ document: before, patch: difference(document, before) }));
          return true;
        }
      }
      dispatch(changed({ document: made.document, step }));
      return true;
    } catch (error) {
      dispatch(tried(null));
      dispatch(warn(error instanceof Error ? error.message : String(error)));
      return false;
    }
  };

/** Whether two versions say the same, whatever was derived in them. */
const isSame = (a: CollectionDocument, b: CollectionDocument): boolean =>
  difference(withoutDerived(a), withoutDerived(b)).length === 0;

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

/** The steps that were gone over, in one word or by their number. */
const gone = (steps: readonly Step[]) =>
  steps.length === 1 ? (steps[0] as Step).name : count(steps.length, 'step').toLowerCase();

/** Undoes so many steps, as one change. */
export const undo =
  (many = 1): AppThunk =>
  (dispatch, getState) => {
    const { document, past } = getState().document;
    const moved = document && moveOverSome(document, past, 'inverse', many);
    if (!moved) return;
    dispatch(undone(moved));
    dispatch(announce(`Undone: ${gone(moved.steps)}`));
  };

/** Makes so many undone steps again, as one change. */
export const redo =
  (many = 1): AppThunk =>
  (dispatch, getState) => {
    const { document, future } = getState().document;
    const moved = document && moveOverSome(document, future, 'patch', many);
    if (!moved) return;
    dispatch(redone(moved));
    dispatch(announce(`Redone: ${gone(moved.steps)}`));
  };

/** Undoes or makes again until so many steps are done. */
export const goToStep =
  (done: number): AppThunk =>
  (dispatch, getState) => {
    const { length } = getState().document.past;
    if (done < length) dispatch(undo(length - done));
    else dispatch(redo(done - length));
  };
