import { workspace, workspacePath } from './workspace';

/** A collection was changed, or deleted, by whoever. */
export interface CollectionChanged {
  readonly id: string;
  /** Null: it was deleted. */
  readonly revision: number | null;
  /** The key of the change, when it was sent with one. */
  readonly changeId: string | null;
}

type Hear = (change: CollectionChanged | 'again') => void;

/** Of each workspace its own. */
const channel = () => `noria-events:${workspace()}`;

/**
 * Hears of changes of all collections of the workspace. One tab of a browser listens to the server and
 * tells the others, since a browser opens few connections to one server.
 * @param hear is also called with `again` when the server is heard after a break: something may have
 *   been missed
 * @returns stops it
 */
export function hearChanges(hear: Hear): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const name = channel();
  const others = new BroadcastChannel(name);
  others.onmessage = ({ data }: MessageEvent<CollectionChanged | 'again'>) => hear(data);
  const stop = new AbortController();
  const listen = () =>
    new Promise<void>((resolve) => {
      const source = new EventSource(workspacePath('events'));
      let broken = false;
      const tell: Hear = (change) => {
        hear(change);
        others.postMessage(change);
      };
      source.addEventListener('changed', ({ data }: MessageEvent<string>) =>
        tell(JSON.parse(data) as CollectionChanged),
      );
      source.onerror = () => (broken = true);
      source.onopen = () => {
        if (broken) tell('again');
        broken = false;
      };
      stop.signal.addEventListener('abort', () => {
        source.close();
        resolve();
      });
    });
  // The lock goes to the next tab when this one is closed.
  navigator.locks.request(name, { signal: stop.signal }, listen).catch(() => undefined);
  return () => {
    stop.abort();
    others.close();
  };
}
