import { difference } from '@noria/core';
import { isPassing, ServerProblem } from '../../api/problem';
import { readAhead, readCollection } from '../../api/collections';
import { announce, warn } from '../../ui/notices/noticesSlice';
import { opened, remembered } from '../document/documentSlice';
import { arrivedOrLeft, leftLock, readOrDeleted, sendLeft } from './left';
import { catchUp } from './join';
import { dropOutbox, keepBase, keepOutbox, leftOutboxes, type OutboxKey } from './outbox';
import { alone, thisTab } from '../../api/kept/tab';
import { takeHistory } from './history';
import { isSending } from './saver';
import { onTop, versionOf } from './versions';
import type { AppThunk } from '../state';

/**
 * Opens a collection, after what earlier visits and tabs that are gone left unsent was sent. What can’t be
 * sent by itself, because it meets other changes or the collection was deleted, is opened as it was left.
 * @throws ServerAway, ServerProblem and UnreadableCollection as the reading does
 */
export const open =
  (id: string): AppThunk<Promise<void>> =>
  async (dispatch) => {
    await dispatch(openDocument(id));
    const kept = takeHistory(id);
    if (kept) dispatch(remembered(kept));
  };

const openDocument =
  (id: string): AppThunk<Promise<void>> =>
  (dispatch) =>
    alone(leftLock(id), async () => {
      const ahead = readAhead(id);
      ahead.catch(() => undefined);
      const left = await leftOutboxes(id);
      let waiting: OutboxKey | null = null;
      for (const of of left) {
        const outcome = await sendLeft(of);
        if (outcome.kind === 'saved') dispatch(announce('Changes from an earlier visit were saved.'));
        if (outcome.kind === 'aside')
          dispatch(warn(`${outcome.why} They are kept under “Set aside” on the first screen.`));
        if (outcome.kind === 'meets' || outcome.kind === 'deleted') waiting ??= of;
      }
      if (waiting && (await dispatch(openLeft(waiting)))) return;
      const early = left.length === 0 ? await ahead : null;
      const stored = early ?? (await readCollection(id));
      dispatch(opened({ id, document: stored.document, revision: stored.revision, unsent: [] }));
      // Nobody listened yet when it was asked for.
      if (early) dispatch(catchUp(isSending)).catch(() => undefined);
    });

/** Opens what was left as it was left, with the question that it waits for. */
const openLeft =
  (of: OutboxKey): AppThunk<Promise<boolean>> =>
  async (dispatch) => {
    const id = of.collection;
    const left = await arrivedOrLeft(of);
    const stored = await readOrDeleted(id);
    if (!left) return false;
    const version = await versionOf(of, left, stored).catch((error: unknown) => {
      if (error instanceof ServerProblem && !isPassing(error)) return null;
      throw error;
    });
    if (!version) return false;
    const { base, document } = version;
    const { revision } = left;
    const unsent = difference(base, document);
    // This tab answers for it from now on.
    await keepOutbox(id, { revision, underWay: null, unsent });
    await keepBase(id, { revision, document: base });
    if (of.tab !== thisTab) await dropOutbox(of);
    if (!stored) {
      dispatch(opened({ id, document, base, revision, unsent, saving: { state: 'deleted' } }));
      return true;
    }
    const { meetings } = onTop(version, stored.document);
    if (meetings.length === 0) {
      dispatch(opened({ id, document, base, revision, unsent }));
      return true;
    }
    const question = { base, theirs: stored.document, revision: stored.revision, meetings };
    dispatch(opened({ id, document, base, revision, unsent, saving: { state: 'asked' }, question }));
    return true;
  };
