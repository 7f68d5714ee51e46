import type { CollectionDocument } from '@noria/core';
import type { DocumentState, Step } from '../document/documentSlice';

/** What a tab keeps of its steps while it is reloaded. */
export interface KeptHistory {
  /** The collection as it was then. */
  readonly document: CollectionDocument;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

const keyOf = (id: string) => `noria-history:${id}`;

/** As much as is kept, in characters: the browser keeps about five million for a site. */
const MOST = 2_000_000;

/** Keeps the steps of the open collection for this tab’s next page: as many of the last as there is room for. */
export function keepHistory({ id, document, past, future }: DocumentState): void {
  if (id === null || !document) return;
  try {
    if (past.length + future.length === 0) {
      sessionStorage.removeItem(keyOf(id));
      return;
    }
    for (let steps = past.length; ; steps >>= 1) {
      const kept = JSON.stringify({ document, past: steps === 0 ? [] : past.slice(-steps), future });
      if (kept.length <= MOST) {
        sessionStorage.setItem(keyOf(id), kept);
        return;
      }
      if (steps === 0) return;
    }
  } catch {
    // Without room there is no history after a reload; the collection itself is kept elsewhere.
  }
}

/** What the tab’s page before kept of a collection’s steps, once; null: nothing. */
export function takeHistory(id: string): KeptHistory | null {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(keyOf(id)) ?? 'null');
    sessionStorage.removeItem(keyOf(id));
    return isObject(kept) && isObject(kept.document) && isSteps(kept.past) && isSteps(kept.future)
      ? (kept as unknown as KeptHistory)
      : null;
  } catch {
    return null;
  }
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isSteps = (value: unknown): value is readonly Step[] =>
  Array.isArray(value) &&
  value.every((step) => isObject(step) && Array.isArray(step.patch) && Array.isArray(step.inverse));
