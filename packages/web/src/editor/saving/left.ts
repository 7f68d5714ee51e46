import { readCollection, sendChange, type StoredCollection } from '../../api/collections';
import { isPassing, ServerProblem } from '../../api/problem';
import { setAside } from './aside';
import { dropOutbox, keepOutbox, readOutbox, type Outbox, type OutboxKey } from './outbox';
import { onTop, versionOf } from './versions';

const MOST_TRIES = 5;

/** What became of an outbox that a tab left. */
export type LeftOutcome =
  | { readonly kind: 'nothing' }
  | { readonly kind: 'saved'; readonly name: string }
  /** Its changes meet others: it waits until somebody decides. */
  | { readonly kind: 'meets'; readonly name: string }
  /** The collection is gone: it waits until somebody takes it away. */
  | { readonly kind: 'deleted' }
  /** It can’t be saved as it is, and was set aside. */
  | { readonly kind: 'aside'; readonly why: string };

/** One tab at a time works with what was left of a collection. */
export const leftLock = (collection: string) => `noria-left:${collection}`;

/**
 * What of an outbox has not arrived. The change that was under way is sent again under its key, so that
 * it is made once; a refusal says that it was not made.
 */
export async function arrivedOrLeft(of: OutboxKey): Promise<Outbox | null> {
  const outbox = await readOutbox(of);
  if (!outbox?.underWay) return outbox ?? null;
  const { revision, underWay, unsent, format = 1 } = outbox;
  try {
    const { changeId, patch } = underWay;
    const arrived = await sendChange(of.collection, revision, changeId, patch, format);
    const left = { revision: arrived, underWay: null, unsent, format };
    await keepOutbox(of.collection, left, of.tab);
    return unsent.length > 0 ? left : null;
  } catch (error) {
    if (error instanceof ServerProblem && !isPassing(error)) return outbox;
    throw error;
  }
}

/** The collection as it is stored; null when it was deleted. */
export const readOrDeleted = (id: string): Promise<StoredCollection | null> =>
  readCollection(id).catch((error: unknown) => {
    if (error instanceof ServerProblem && error.status === 404) return null;
    throw error;
  });

/**
 * Sends what an outbox holds, on top of what is stored now.
 * @throws ServerAway, or a ServerProblem that passes, when it must be tried again later
 */
export async function sendLeft(of: OutboxKey): Promise<LeftOutcome> {
  const id = of.collection;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const left = await arrivedOrLeft(of);
    if (!left) {
      await dropOutbox(of);
      return { kind: 'nothing' };
    }
    const stored = await readOrDeleted(id);
    if (!stored) return { kind: 'deleted' };
    const { name } = stored;
    const version = await versionOf(of, left, stored).catch((error: unknown) => {
      const isNever =
        error instanceof ServerProblem || (error instanceof Error && error.name === 'PatchError');
      if (!isNever || isPassing(error)) throw error;
      return null;
    });
    if (!version) return unreadable(of, left, stored);
    const { meetings, unsent } = onTop(version, stored.document);
    if (meetings.length > 0) return { kind: 'meets', name };
    if (unsent.length === 0) {
      await dropOutbox(of);
      return { kind: 'nothing' };
    }
    const changeId = crypto.randomUUID();
    // Noted before it is sent, so that a tab that is closed now does not send it under another key.
    const underWay = { changeId, patch: unsent };
    await keepOutbox(id, { revision: stored.revision, underWay, unsent: [] }, of.tab);
    try {
      await sendChange(id, stored.revision, changeId, unsent);
    } catch (error) {
      if (!(error instanceof ServerProblem) || isPassing(error)) throw error;
      if (error.status === 412) continue;
      await setAside({ collection: id, why: error.message, document: version.document });
      await dropOutbox(of);
      return { kind: 'aside', why: error.message };
    }
    await dropOutbox(of);
    return { kind: 'saved', name };
  }
  return { kind: 'nothing' };
}

/** Changes whose beginning is nowhere any more: the patches are kept beside what is stored. */
async function unreadable(of: OutboxKey, outbox: Outbox, stored: StoredCollection): Promise<LeftOutcome> {
  const patches = JSON.stringify([...(outbox.underWay?.patch ?? []), ...outbox.unsent]);
  const why = `Unsent changes that fit no version any more: ${patches.slice(0, 20_000)}`;
  await setAside({ collection: of.collection, why, document: stored.document });
  await dropOutbox(of);
  return { kind: 'aside', why: 'Unsent changes from an earlier visit fit no version any more.' };
}
