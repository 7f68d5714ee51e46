import { setIgnored, type CollectionDocument, type Finding, type JsonPatch } from '@noria/core';
import { run, runPatch } from '../document/run';
import { selectSaved } from '../document/selectors';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { followed } from '../reflow/following';
import { engine } from '../engine/engine';
import { COMMAND_WORDS } from '../commands/words';
import type { AppThunk } from '../state';

/** Says that a finding is as it should be, or looks for it again. */
export const ignoreFinding =
  ({ kind, tiles, title }: Finding, ignored: boolean): AppThunk =>
  (dispatch) => {
    dispatch(run(ignored ? 'Ignore finding' : 'Stop ignoring finding', setIgnored(kind, tiles, ignored)));
    dispatch(announce(ignored ? `Ignored: ${title}.` : `No longer ignored: ${title}.`));
  };

/** Works something out beside the page and runs it as one step, unless the collection changed meanwhile. */
export const workOut =
  (
    name: string,
    ask: (document: CollectionDocument) => Promise<JsonPatch>,
    said: string,
  ): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    await followed();
    const document = selectSaved(getState());
    try {
      const patch = await ask(document);
      if (getState().document.document !== document) {
        dispatch(warn('Nothing was done: the collection changed meanwhile. Try again.'));
        return;
      }
      if (patch.length === 0) dispatch(announce('Nothing to change.'));
      else {
        dispatch(runPatch(name, patch));
        dispatch(announce(said));
      }
    } catch (error) {
      dispatch(
        warn(`This could not be calculated: ${error instanceof Error ? error.message : String(error)}.`),
      );
    }
  };

/** Puts right all that is safe, as one step. */
export const fixAll = (): AppThunk<Promise<void>> => async (dispatch, getState) => {
  await followed();
  const document = selectSaved(getState());
  try {
    const { patch, fixed } = await engine('work').ask('fixAllSafe', document, []);
    if (getState().document.document !== document) {
      dispatch(warn('Nothing was done: the collection changed meanwhile. Try again.'));
    } else if (patch.length === 0) dispatch(announce('No safe fix is left.'));
    else {
      dispatch(runPatch(COMMAND_WORDS.fixAll, patch));
      dispatch(announce(`${fixed} ${fixed === 1 ? 'finding' : 'findings'} fixed.`));
    }
  } catch (error) {
    dispatch(
      warn(`This could not be calculated: ${error instanceof Error ? error.message : String(error)}.`),
    );
  }
};
