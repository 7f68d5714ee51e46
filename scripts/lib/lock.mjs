import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { own } from './paths.mjs';
import { isRunning } from './processes.mjs';

const file = join(own, 'start.json');

const read = () => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return {};
  }
};

/**
 * Holds the right to start. `other` is what a second start finds: the notes of the one that runs.
 * `left` is the server that a killed start left behind, if any.
 */
export function takeLock() {
  for (let attempt = 0; attempt < 3; attempt++) {
    try {
      writeFileSync(file, JSON.stringify({ pid: process.pid }), { flag: 'wx' });
      return { other: null, left: null };
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    const notes = read();
    if (isRunning(notes.pid, 'start.mjs')) return { other: notes, left: null };
    rmSync(file, { force: true });
    if (isRunning(notes.server, 'server/dist/main.js')) {
      note({ pid: process.pid });
      return { other: null, left: notes.server };
    }
  }
  throw new Error(`${file} can’t be taken. Remove it and start again.`);
}

/** Keeps notes for a second start: the address, the server's process. */
export const note = (notes) => writeFileSync(file, JSON.stringify({ ...read(), ...notes, pid: process.pid }));

export const dropLock = () => {
  if (read().pid === process.pid) rmSync(file, { force: true });
};
