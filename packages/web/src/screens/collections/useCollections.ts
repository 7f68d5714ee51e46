import { useCallback, useEffect, useRef, useState } from 'react';
import { listCollections, type ListedCollection } from '../../api/collectionList';
import { hearChanges } from '../../api/events';
import { asManyAs, withBeginning, withNext, type Page } from '../../api/pages';
import { ServerAway } from '../../api/problem';

const AWAY = new ServerAway().message;
const AGAIN_MS = 2000;
const QUIET_MS = 400;
const A_PAGE = 24;
const idOf = ({ id }: ListedCollection) => id;

/** The collections of the workspace, page by page, as they are now: changes of others come by themselves. */
export function useCollections() {
  const [found, setFound] = useState<Page<ListedCollection> | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const asked = useRef(0);
  const shown = useRef(0);

  const read = useCallback(async (after: string | null) => {
    const number = ++asked.current;
    try {
      const page = await listCollections(after, after === null ? asManyAs(shown.current, A_PAGE) : A_PAGE);
      if (number !== asked.current) return;
      setFound((before) => {
        const now = after === null ? withBeginning(before, page, idOf) : withNext(before, page, idOf);
        shown.current = now.entries.length;
        return now;
      });
      setTrouble(null);
    } catch (error) {
      if (number === asked.current) setTrouble(error instanceof Error ? error.message : String(error));
    }
  }, []);
  const load = useCallback(() => void read(null), [read]);
  const next = found?.next ?? null;
  const more = useCallback(() => void read(next), [read, next]);

  useEffect(load, [load]);
  useEffect(() => {
    let timer = 0;
    const stop = hearChanges((change) => {
      if (change !== 'again' && change.revision === null) {
        const isThere = ({ id }: ListedCollection) => id !== change.id;
        setFound((before) => before && { ...before, entries: before.entries.filter(isThere) });
      }
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

  return {
    collections: found?.entries ?? null,
    more: next === null ? null : more,
    trouble,
    setTrouble,
    load,
  };
}
