import { useCallback, useEffect, useRef, useState } from 'react';
import { listCollections, type ListedCollection } from '../../api/collections';
import { hearChanges } from '../../api/events';
import { ServerAway } from '../../api/problem';

const AWAY = new ServerAway().message;
const AGAIN_MS = 2000;
const QUIET_MS = 400;

/** The collections of the workspace, page by page, as they are now: changes of others come by themselves. */
export function useCollections() {
  const [collections, setCollections] = useState<readonly ListedCollection[] | null>(null);
  const [next, setNext] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const asked = useRef(0);

  const read = useCallback((after: string | null) => {
    const number = ++asked.current;
    return listCollections(after).then(
      (page) => {
        if (number !== asked.current) return;
        setCollections((before) => joined(after === null ? [] : (before ?? []), page.entries));
        setNext(page.next);
        setTrouble(null);
      },
      (error: unknown) => {
        if (number === asked.current) setTrouble(error instanceof Error ? error.message : String(error));
      },
    );
  }, []);
  const load = useCallback(() => void read(null), [read]);
  const more = useCallback(() => void read(next), [read, next]);

  useEffect(load, [load]);
  useEffect(() => {
    let timer = 0;
    const stop = hearChanges(() => {
      window.clearTimeout(timer);
      timer = window.setTimeout(load, QUIET_MS);
    });
    return () => {
      stop();
      window.clearTimeout(timer);
    };
  }, [load]);
  useEffect(() => {
    if (trouble !== AWAY) return undefined;
    const timer = window.setInterval(load, AGAIN_MS);
    return () => window.clearInterval(timer);
  }, [trouble, load]);

  return { collections, more: next === null ? null : more, trouble, setTrouble, load };
}

/** A collection that was changed between two pages comes in both; it is shown once. */
function joined(
  before: readonly ListedCollection[],
  page: readonly ListedCollection[],
): readonly ListedCollection[] {
  const known = new Set(before.map(({ id }) => id));
  return [...before, ...page.filter(({ id }) => !known.has(id))];
}
