import { followsWider, type CollectionDocument } from '@noria/core';
import type { RootState } from '../state';

/** The document as shown: with what a gesture under way would make of it. */
export const selectShown = ({ document }: RootState): CollectionDocument => {
  const shown = document.trial ?? document.document;
  if (!shown) throw new Error('No collection is open.');
  return shown;
};

/** The document without what a gesture under way would make of it. */
export const selectSaved = ({ document }: RootState): CollectionDocument => {
  if (!document.document) throw new Error('No collection is open.');
  return document.document;
};

export const selectIsOpen = ({ document }: RootState) => document.document !== null;
export const selectSaving = ({ document }: RootState) => document.saving;
/** Whether bands are still to be derived from a change that was made here. */
export const selectIsBehind = ({ document: { document, isBehind } }: RootState) =>
  isBehind && document !== null && followsWider(document);
export const selectQuestion = ({ document }: RootState) => document.question;
export const selectPast = ({ document }: RootState) => document.past;
export const selectFuture = ({ document }: RootState) => document.future;
