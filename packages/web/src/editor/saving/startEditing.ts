import { followChanges } from './followChanges';
import { startSaving } from './saver';
import type { AppDispatch, RootState } from '../state';

let isStarted = false;

/** From the first collection that is opened on, changes are saved, and those of others taken in. */
export function startEditing(dispatch: AppDispatch, getState: () => RootState): void {
  if (isStarted) return;
  isStarted = true;
  startSaving();
  followChanges(dispatch, getState);
}
