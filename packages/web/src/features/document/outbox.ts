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

const key = (id: string) => `unsent:${id}`;

export const readOutbox = (id: string): Promise<Outbox | undefined> => get<Outbox>(key(id));

/** Writes in the order of the calls; an empty outbox is removed. */
export function keepOutbox(id: string, outbox: Outbox): Promise<void> {
  const empty = !outbox.underWay && outbox.unsent.length === 0;
  return empty ? del(key(id)) : set(key(id), outbox);
}

export const dropOutbox = (id: string): Promise<void> => del(key(id));
