import { watch } from 'node:fs';
import { basename, dirname, resolve } from 'node:path';

/** A file that is saved comes in several pieces, ms. */
const SETTLED = 120;

/**
 * Does something now, and again after each change of a file, one after the other, until it is told to stop.
 * The folder is watched: programs that save put another file in the place of the old one.
 * @returns when it was stopped
 */
export async function watching(
  file: string,
  act: () => Promise<void>,
  stopped: Promise<void>,
): Promise<void> {
  await act();
  let timer: NodeJS.Timeout | undefined;
  let under = Promise.resolve();
  const watcher = watch(dirname(resolve(file)), (_, name) => {
    if (name !== basename(file)) return;
    clearTimeout(timer);
    timer = setTimeout(() => {
      under = under.then(act);
    }, SETTLED);
  });
  await stopped;
  watcher.close();
  clearTimeout(timer);
  await under;
}
