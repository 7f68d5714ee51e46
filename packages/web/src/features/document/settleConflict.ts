import { createCollection, readCollection } from '../../api/collections';
import { opened } from './documentSlice';
import { dropOutbox } from './outbox';
import type { AppThunk } from '../../store/store';

/** Keeps what is on this screen as a collection of its own; answers its id. */
export const keepMineAsCopy = (): AppThunk<Promise<string | null>> => async (dispatch, getState) => {
  const { id, document } = getState().document;
  if (!id || !document) return null;
  const copy = await createCollection({ document: { ...document, name: `${document.name} (mine)` } });
  await dropOutbox(id);
  dispatch(
    opened({ id: copy.id, document: copy.document, revision: copy.revision, underWay: null, unsent: [] }),
  );
  return copy.id;
};

/** Gives up what is on this screen for what the server has. */
export const takeTheirs = (): AppThunk<Promise<void>> => async (dispatch, getState) => {
  const { id } = getState().document;
  if (!id) return;
  const { document, revision } = await readCollection(id);
  await dropOutbox(id);
  dispatch(opened({ id, document, revision, underWay: null, unsent: [] }));
};
