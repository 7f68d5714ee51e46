import { isAnyOf } from '@reduxjs/toolkit';
import { sendChange } from '../../api/collections';
import { isPassing, ServerProblem } from '../../api/problem';
import { warn } from '../../ui/notices/noticesSlice';
import {
  acknowledged,
  amended,
  asked,
  changed,
  joined,
  opened,
  redone,
  refused,
  savingChanged,
  sent,
  takenBack,
  undone,
} from '../document/documentSlice';
import { catchUp } from './join';
import { keepBase, keepOutbox } from './outbox';
import { keepsNothing } from '../../api/kept/storage';
import { listen } from '../listeners';
import type { AppDispatch, RootState } from '../state';

const QUIET_MS = 350;
const RETRY_MS = [800, 1500, 3000, 5000, 8000];

/** Whatever leaves something to send. */
const isUnsent = isAnyOf(changed, amended, takenBack, undone, redone);

let toldOfNothing = false;

let isSaving = false;

/** From now on, whatever changes is kept and sent. */
export function startSaving(): void {
  if (isSaving) return;
  isSaving = true;
  // Every change, and every answer, goes to the browser's own store at once.
  listen({
    matcher: isAnyOf(isUnsent, sent, acknowledged, joined, asked, refused),
    effect: async (_, api) => {
      const { id, revision, underWay, unsent } = api.getState().document;
      if (!id) return;
      await keepOutbox(id, { revision, underWay, unsent }).catch(() => undefined);
      if (!keepsNothing() || toldOfNothing) return;
      toldOfNothing = true;
      api.dispatch(
        warn(
          'This browser keeps nothing for Noria. Leave this tab open until it says “Saved”, or download your work under Export.',
        ),
      );
    },
  });

  // What stays unsent for longer is kept with what it is based on: the collection may be deleted meanwhile.
  listen({
    matcher: isAnyOf(savingChanged, asked, refused),
    effect: async (_, api) => {
      const { id, revision, base, saving } = api.getState().document;
      if (!id || !base || saving.state === 'saved' || saving.state === 'saving') return;
      await keepBase(id, { revision, document: base }).catch(() => undefined);
    },
  });

  // Then to the server: one change at a time, each sent until it is acknowledged.
  listen({
    matcher: isAnyOf(isUnsent, opened, joined),
    effect: async (action, api) => {
      api.cancelActiveListeners();
      if (!opened.match(action) && !joined.match(action)) await api.delay(QUIET_MS);
      const id = api.getState().document.id;
      for (let attempt = 0; hasUnsent(api.getState(), id);) {
        // A cancelled listener stops at the next pause; a request under way is left to finish.
        const wait = await api.pause(sendOnce(api.dispatch, () => api.getState(), attempt));
        if (wait === null) return;
        attempt = wait > 0 ? attempt + 1 : 0;
        if (wait > 0) await Promise.race([api.delay(wait), api.pause(backOnline())]);
      }
    },
  });
}

const hasUnsent = ({ document }: RootState, id: string | null) =>
  document.id === id &&
  document.saving.state !== 'asked' &&
  document.saving.state !== 'deleted' &&
  (document.underWay !== null || document.unsent.length > 0);

let sending: Promise<number | null> | null = null;

/** Whether a change is on its way to the server; its answer tells what there is to take in. */
export const isSending = () => sending !== null;

/** Sends what waits, unless a change is on its way; then waits for that one. */
function sendOnce(dispatch: AppDispatch, getState: () => RootState, attempt: number): Promise<number | null> {
  sending ??= send(dispatch, getState, attempt).finally(() => (sending = null));
  return sending;
}

/** @returns ms to wait before the next attempt; 0 to go on, null to stop until something changes */
async function send(
  dispatch: AppDispatch,
  getState: () => RootState,
  attempt: number,
): Promise<number | null> {
  dispatch(sent(crypto.randomUUID()));
  const { id, revision, underWay } = getState().document;
  if (!id || !underWay) return 0;
  try {
    const arrived = await sendChange(id, revision, underWay.changeId, underWay.patch);
    if (getState().document.id === id) dispatch(acknowledged(arrived));
    return 0;
  } catch (error) {
    if (getState().document.id !== id) return null;
    if (error instanceof ServerProblem && error.status === 412) return join(dispatch);
    if (error instanceof ServerProblem && error.status === 404) {
      dispatch(savingChanged({ state: 'deleted' }));
      return null;
    }
    if (isPassing(error)) {
      dispatch(
        savingChanged({
          state: 'waiting',
          why: 'The server does not answer. Your changes are kept in this browser and sent as soon as it does.',
        }),
      );
      return RETRY_MS[Math.min(attempt, RETRY_MS.length - 1)] as number;
    }
    dispatch(refused(error instanceof Error ? error.message : String(error)));
    return null;
  }
}

/** Somebody else changed the collection: put our changes on top of theirs. */
async function join(dispatch: AppDispatch): Promise<number | null> {
  try {
    await dispatch(catchUp());
    return 0;
  } catch (error) {
    if (isPassing(error)) return RETRY_MS[0] as number;
    dispatch(warn(error instanceof Error ? error.message : String(error)));
    return null;
  }
}

const backOnline = () =>
  new Promise<void>((resolve) => window.addEventListener('online', () => resolve(), { once: true }));
