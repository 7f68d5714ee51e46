import { applyPatch, checkDocument, type CollectionDocument, type JsonPatch } from '@noria/core';
import { readCollection, sendChange, type StoredCollection } from '../../api/collections';
import { ServerProblem } from '../../api/problem';
import { announce, warn } from '../notices';
import { opened, savingChanged } from './documentSlice';
import { dropOutbox, readOutbox, type Outbox } from './outbox';
import type { AppThunk } from '../../store/store';

/**
 * Opens a collection, with what an earlier visit left unsent.
 * @throws ServerAway and ServerProblem as the reading does
 */
export const open =
  (id: string): AppThunk<Promise<void>> =>
  async (dispatch) => {
    const outbox = await readOutbox(id);
    let stored = await readCollection(id);
    if (!outbox) {
      dispatch(
        opened({ id, document: stored.document, revision: stored.revision, underWay: null, unsent: [] }),
      );
      return;
    }
    const left = await notArrived(id, outbox);
    if (!left.underWay) stored = await readCollection(id);
    const document = together(stored.document, [...(left.underWay?.patch ?? []), ...left.unsent]);
    if (document) {
      dispatch(opened({ id, document, revision: stored.revision, ...left }));
      dispatch(announce('Changes from before the reload were kept.'));
      return;
    }
    dispatch(
      opened({ id, document: stored.document, revision: stored.revision, underWay: null, unsent: [] }),
    );
    keepAside(id, outbox, stored);
    await dropOutbox(id);
    dispatch(savingChanged({ state: 'saved' }));
    dispatch(
      warn(
        'This collection was changed elsewhere since, and your unsent changes no longer fit it. It is shown as it is now.',
      ),
    );
  };

/** Asks the server whether the change that was under way arrived; a 412 says that it did not. */
async function notArrived(
  id: string,
  { revision, underWay, unsent }: Outbox,
): Promise<Pick<Outbox, 'underWay' | 'unsent'>> {
  if (!underWay) return { underWay, unsent };
  try {
    await sendChange(id, revision, underWay.changeId, underWay.patch);
    return { underWay: null, unsent };
  } catch (error) {
    if (error instanceof ServerProblem) return { underWay, unsent };
    throw error;
  }
}

/** Our patches on top of a document, when they fit and leave it sound. */
export function together(document: CollectionDocument, patch: JsonPatch): CollectionDocument | null {
  try {
    return checkDocument(applyPatch(document, patch)).document;
  } catch {
    return null;
  }
}

/** Last resort against a lost edit: changes that fit nowhere stay readable in the browser's storage. */
function keepAside(id: string, outbox: Outbox, { revision }: StoredCollection) {
  try {
    localStorage.setItem(`noria-set-aside:${id}:${revision}`, JSON.stringify(outbox));
  } catch {
    // Storage is full; there is nothing better left to do.
  }
}
