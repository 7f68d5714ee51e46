import { isPassing } from '../../api/problem';
import { drainLater } from './later/later';
import { leftOutboxes } from './outbox';
import type { AppDispatch, RootState } from '../state';

const EVERY_MS = 15_000;

/** What sends changes of collections comes only where some were left. */
async function drainAnyLeft(dispatch: AppDispatch, getState: () => RootState): Promise<void> {
  if ((await leftOutboxes()).length === 0) return;
  const { drainLeft } = await import('./drain');
  await drainLeft(dispatch, getState);
}

/** Drains now, whenever the network comes back, and every now and then. Answers how to stop. */
export function keepDraining(dispatch: AppDispatch, getState: () => RootState): () => void {
  let running: Promise<void> | null = null;
  const drain = () => {
    running ??= Promise.all([drainAnyLeft(dispatch, getState), drainLater(dispatch)])
      .then(
        () => undefined,
        (error: unknown) => {
          // It is tried again anyhow.
          if (!isPassing(error)) console.warn(error);
        },
      )
      .finally(() => (running = null));
  };
  drain();
  const timer = window.setInterval(drain, EVERY_MS);
  window.addEventListener('online', drain);
  return () => {
    window.clearInterval(timer);
    window.removeEventListener('online', drain);
  };
}
