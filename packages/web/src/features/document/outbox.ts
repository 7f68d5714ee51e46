import { del, get, set } from 'idb-keyval';
import type { JsonPatch } from '@noria/core';
import type { Unsent } from './documentSlice';

/** What the server has not acknowledged, kept in the browser until it has. */
export interface Outbox {
  /** The revision that the first change is based on. */
  readonly revision: number;
  readonly underWay: Unsent | null;
  readonly unsent: JsonPatch;
}

interface Kept extends Outbox {
  /** Counts up with every write, so that the later of two copies is known. */
  readonly write: number;
}

const key = (id: string) => `unsent:${id}`;
const journalKey = (id: string) => `noria-unsent:${id}`;
let writes = Date.now();

/** The later of the two copies. */
export async function readOutbox(id: string): Promise<Outbox | undefined> {
  const stored = await get<Kept>(key(id));
  const journal = readJournal(id);
  const latest = journal && journal.write > (stored?.write ?? 0) ? journal : stored;
  return latest && !isEmpty(latest) ? latest : undefined;
}

/**
 * Keeps what is unsent. IndexedDB holds it, however large; but it answers later, and a tab may be
 * closed before that. So it is noted in a synchronous journal first, until IndexedDB has it.
 */
export async function keepOutbox(id: string, outbox: Outbox): Promise<void> {
  const kept: Kept = { ...outbox, write: ++writes };
  writeJournal(id, kept);
  await (isEmpty(outbox) ? del(key(id)) : set(key(id), kept));
  if (readJournal(id)?.write === kept.write) localStorage.removeItem(journalKey(id));
}

export async function dropOutbox(id: string): Promise<void> {
  localStorage.removeItem(journalKey(id));
  await del(key(id));
}

const isEmpty = ({ underWay, unsent }: Outbox) => !underWay && unsent.length === 0;

function readJournal(id: string): Kept | null {
  return JSON.parse(localStorage.getItem(journalKey(id)) ?? 'null') as Kept | null;
}

function writeJournal(id: string, kept: Kept): void {
  try {
    localStorage.setItem(journalKey(id), JSON.stringify(kept));
  } catch {
    // Too large for the journal: IndexedDB has to be quick enough.
    localStorage.removeItem(journalKey(id));
  }
}
