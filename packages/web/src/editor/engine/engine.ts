import { wrap } from 'comlink';
import { workspace } from '../../api/workspace';
import { asker, type Asker } from './asker';
import type { EngineWorker } from './engine.worker';

const start = () => {
  const worker = new Worker(new URL('./engine.worker.ts', import.meta.url), {
    type: 'module',
    name: workspace(),
  });
  const { answer } = wrap<EngineWorker>(worker);
  const broken = new Promise<void>((resolve) => {
    worker.addEventListener('error', () => resolve(), { once: true });
  });
  return { answer, broken, end: () => worker.terminate() };
};

/**
 * The worker is one script, and runs twice: what is checked all the time must not wait for what is asked
 * for, nor the reverse. More would not help: one asks for one thing at a time.
 */
const askers = new Map<'check' | 'work', Asker>();

/** Who answers questions beside the page; started when it is first needed. */
export function engine(which: 'check' | 'work'): Asker {
  let found = askers.get(which);
  if (!found) askers.set(which, (found = asker(start)));
  return found;
}
