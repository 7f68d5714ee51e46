import { hearChanges } from '../../api/events';
import { catchUp } from './join';
import { savingChanged } from '../document/documentSlice';
import { isSending } from './saver';
import type { AppDispatch, RootState } from '../state';

/** Takes in what others change of the open collection, as soon as it is heard of. Answers how to stop. */
export function followChanges(dispatch: AppDispatch, getState: () => RootState): () => void {
  return hearChanges((change) => {
    const { id, revision, underWay, saving } = getState().document;
    // A change of ours that is on its way finds out by itself; a question waits for its answer.
    if (!id || isSending() || saving.state === 'asked') return;
    if (change !== 'again') {
      if (change.id !== id || change.changeId === underWay?.changeId) return;
      if (change.revision === null) {
        dispatch(savingChanged({ state: 'deleted' }));
        return;
      }
      if (change.revision <= revision) return;
    }
    // What can't be read now is taken in with the next change.
    dispatch(catchUp(isSending)).catch(() => undefined);
  });
}
