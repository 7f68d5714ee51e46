import { announce, warn } from '../../ui/notices/noticesSlice';
import { leftLock, sendLeft } from './left';
import { leftOutboxes } from './outbox';
import { alone, thisTab } from '../../api/kept/tab';
import type { AppDispatch, RootState } from '../state';

/**
 * Sends what tabs that are gone left, and what this one left of collections that it no longer shows,
 * whichever view is open. What needs a decision waits until its collection is opened.
 */
export async function drainLeft(dispatch: AppDispatch, getState: () => RootState): Promise<void> {
  for (const of of await leftOutboxes()) {
    const isOwn = () => of.tab === thisTab && getState().document.id === of.collection;
    if (isOwn()) continue;
    // It may have been opened while we waited.
    const outcome = await alone(leftLock(of.collection), () =>
      isOwn() ? Promise.resolve({ kind: 'nothing' } as const) : sendLeft(of),
    );
    const tell = (words: string) => {
      if (told.has(of.collection)) return;
      told.add(of.collection);
      dispatch(warn(words));
    };
    if (outcome.kind === 'meets' && getState().document.id === of.collection) {
      if (isLongGone(of.tab)) await askHere(dispatch, getState, of.collection);
      continue;
    }
    if (outcome.kind === 'saved') dispatch(announce(`Unsent changes of “${outcome.name}” were saved.`));
    if (outcome.kind === 'aside') dispatch(warn(`${outcome.why} They are kept under “Set aside”.`));
    if (outcome.kind === 'meets')
      tell(`Unsent changes of “${outcome.name}” meet changes from elsewhere. Open it to decide what stays.`);
    if (outcome.kind === 'deleted')
      tell('A collection with unsent changes was deleted elsewhere. Open its address to take them away.');
  }
}

/** How long a tab may be away for a reload, after which it asks itself, ms. */
const RELOADING_MS = 10_000;
const goneSince = new Map<string, number>();

function isLongGone(tab: string): boolean {
  const since = goneSince.get(tab) ?? Date.now();
  goneSince.set(tab, since);
  return Date.now() - since >= RELOADING_MS;
}

/** Asks where nothing is unsaved on the screen; what is, goes first, and the next round asks. */
async function askHere(dispatch: AppDispatch, getState: () => RootState, id: string): Promise<void> {
  const { saving, underWay, unsent } = getState().document;
  if (saving.state !== 'saved' || underWay || unsent.length > 0) return;
  // Only where it is on the screen are these scripts needed, and there already.
  const { open } = await import('./open');
  await dispatch(open(id));
}

const told = new Set<string>();
