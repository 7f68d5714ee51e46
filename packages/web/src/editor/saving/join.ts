import { keptWords, type Side } from '@noria/core';
import { readCollection, type StoredCollection } from '../../api/collections';
import { ServerProblem } from '../../api/problem';
import { announce } from '../../ui/notices/noticesSlice';
import { setAside } from './aside';
import { asked, joined, savingChanged } from '../document/documentSlice';
import { onTop } from './versions';
import type { AppThunk } from '../state';

/**
 * Takes in what was stored elsewhere meanwhile, and puts our changes on top of it; asks where the two
 * meet.
 * @param finds whether a change of ours is on its way, and finds out by itself
 * @throws ServerAway and ServerProblem as the reading does
 */
export const catchUp =
  (finds: () => boolean = () => false): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { id } = getState().document;
    if (!id) return;
    try {
      const stored = await readCollection(id);
      if (getState().document.id === id && !finds()) dispatch(takeIn(stored));
    } catch (error) {
      const isGone = error instanceof ServerProblem && error.status === 404;
      if (!isGone) throw error;
      if (getState().document.id === id) dispatch(savingChanged({ state: 'deleted' }));
    }
  };

const takeIn =
  (stored: StoredCollection): AppThunk =>
  (dispatch, getState) => {
    const { document, base, revision } = getState().document;
    if (!document || !base || stored.revision <= revision) return;
    const made = onTop({ base, document }, stored.document);
    const { meetings } = made;
    if (meetings.length > 0) {
      dispatch(asked({ base, theirs: stored.document, revision: stored.revision, meetings }));
      return;
    }
    const hadOwn = document !== base;
    dispatch(
      joined({
        document: made.document,
        base: stored.document,
        revision: stored.revision,
        unsent: made.unsent,
      }),
    );
    const kept = keptWords(made, made.document);
    if (kept.length > 0)
      dispatch(announce(`${kept.join(', ')} was deleted elsewhere, but is used here. It was kept.`));
    else
      dispatch(
        announce(
          hadOwn
            ? 'This collection was changed elsewhere. Both changes were kept.'
            : 'This collection was changed elsewhere; it is shown as it is now.',
        ),
      );
  };

/**
 * Decides where changes meet. Both versions as they were are set aside, so that what was not chosen can
 * be opened later.
 * @param choices by the path of a meeting
 */
export const decide =
  (choices: Readonly<Record<string, Side>>): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { id, document, question } = getState().document;
    if (!id || !document || !question) return;
    const { base, theirs, revision, meetings } = question;
    const sides = new Set(meetings.map(({ path }) => choices[path] ?? 'ours'));
    const why =
      'Changed here and elsewhere at the same time; the other version was chosen, at least in part.';
    if (sides.has('theirs')) await setAside({ collection: id, why, document });
    if (sides.has('ours')) await setAside({ collection: id, why, document: theirs });
    const made = onTop({ base, document }, theirs, choices);
    dispatch(joined({ document: made.document, base: theirs, revision, unsent: made.unsent }));
  };
