import { proxy, wrap } from 'comlink';
import type { PathedFile } from '../../editor/pictures/unpackArchive';
import type { Reader } from './read.worker';
import type { Opened, Tell } from './readFiles';

/**
 * Reads files beside the page.
 * @throws Error that says what to do where they can't be read; the signal’s reason when it is cancelled
 */
export async function read(files: readonly PathedFile[], tell: Tell, signal: AbortSignal): Promise<Opened> {
  signal.throwIfAborted();
  const worker = new Worker(new URL('./read.worker.ts', import.meta.url), { type: 'module' });
  const stopped = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(signal.reason as Error), { once: true });
    worker.addEventListener('error', () => reject(new Error('The background worker could not be started.')), {
      once: true,
    });
  });
  try {
    return await Promise.race([wrap<Reader>(worker).read(files, proxy(tell)), stopped]);
  } finally {
    worker.terminate();
  }
}
