import { wrap, type Remote } from 'comlink';
import type { Unpacker } from './unpack.worker';

export const isZip = ({ name, type }: File) => /\.zip$/i.test(name) || /^application\/(x-)?zip/.test(type);

/**
 * The pictures in a ZIP archive, unpacked beside the page.
 * @throws Error when the archive is broken, hostile or too large; nothing of it is taken then
 */
export async function unpack(archive: File, signal: AbortSignal): Promise<File[]> {
  const worker = new Worker(new URL('./unpack.worker.ts', import.meta.url), { type: 'module' });
  const stop = new Promise<never>((_, reject) =>
    signal.addEventListener('abort', () => reject(new Error('It was cancelled.')), { once: true }),
  );
  try {
    const unpacker: Remote<Unpacker> = wrap<Unpacker>(worker);
    return await Promise.race([unpacker.pictures(archive), stop]);
  } finally {
    worker.terminate();
  }
}
