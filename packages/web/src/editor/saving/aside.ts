import type { CollectionDocument } from '@noria/core';
import { drop, keep, keysFrom, read } from '../../api/kept/storage';

/** A version of a collection that was not chosen, or could not be saved: nothing of it is thrown away. */
export interface SetAside {
  readonly id: string;
  /** The collection that it is a version of. */
  readonly collection: string;
  /** When, ms since 1970. */
  readonly at: number;
  /** Why it was set aside, in a sentence. */
  readonly why: string;
  readonly document: CollectionDocument;
}

const PREFIX = 'aside:';
/** More than these are not kept for one collection; the oldest go first. */
const MOST = 40;

/** @throws Error when this browser has no room for it */
export async function setAside(version: Omit<SetAside, 'id' | 'at'>): Promise<void> {
  const id = crypto.randomUUID();
  await keep(PREFIX + id, { ...version, id, at: Date.now() });
  const all = await listAside(version.collection);
  for (const old of all.slice(MOST)) await dropAside(old.id);
  changed.dispatchEvent(new Event('change'));
}

/** The versions that were set aside, of one collection or of all, the newest first. */
export async function listAside(collection?: string): Promise<SetAside[]> {
  const keys = await keysFrom(PREFIX);
  const all = (await Promise.all(keys.map((key) => read<SetAside>(key)))).filter(
    (each) => each !== undefined,
  );
  return all
    .filter((each) => collection === undefined || each.collection === collection)
    .sort((a, b) => b.at - a.at);
}

export async function dropAside(id: string): Promise<void> {
  await drop(PREFIX + id);
  changed.dispatchEvent(new Event('change'));
}

const changed = new EventTarget();

/** Calls back whenever something is set aside or dropped; answers how to stop that. */
export function onAside(hear: () => void): () => void {
  changed.addEventListener('change', hear);
  return () => changed.removeEventListener('change', hear);
}
