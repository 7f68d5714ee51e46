import type { CollectionDocument } from '@noria/core';
import { createCollection } from '../../api/collections';
import { opened } from '../document/documentSlice';
import { dropOwnOutbox } from './outbox';
import type { AppThunk } from '../state';

const named = (document: CollectionDocument) => ({
  ...document,
  name: `${document.name.slice(0, 190)} (kept)`,
});

/** Stores a version as a collection of its own; answers its id. */
export async function saveAsNew(document: CollectionDocument): Promise<string> {
  return (await createCollection(named(document))).id;
}

/** Stores what is on this screen as a collection of its own, and goes on with that; answers its id. */
export const keepAsNew = (): AppThunk<Promise<string | null>> => async (dispatch, getState) => {
  const { id, document } = getState().document;
  if (!id || !document) return null;
  const copy = await createCollection(named(document));
  await dropOwnOutbox(id);
  dispatch(opened({ id: copy.id, document: copy.document, revision: copy.revision, unsent: [] }));
  return copy.id;
};

/** Gives up what is on this screen of a collection that was deleted elsewhere. */
export const giveUp = (): AppThunk<Promise<void>> => async (_, getState) => {
  const { id } = getState().document;
  if (id) await dropOwnOutbox(id);
};
