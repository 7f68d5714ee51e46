import { readFileSync, realpathSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { own, root } from './paths.mjs';
import { beganAt, folderOf, isRunning } from './processes.mjs';

const file = join(own, 'start.json');

const read = () => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return {};
  }
};

/**
 * Whether a process of the notes still runs, and works in this folder. Notes that came with a copied
 * folder name a process that works in another one; a pid that was given anew began at another moment;
 * a folder that was moved takes its processes along.
 */
const isOurs = (pid, began, words) =>
  isRunning(pid, words) &&
  folderOf(pid) === realpathSync(root) &&
  (began === undefined || began === beganAt(pid));

/**
 * Holds the right to start. `other` is what a second start finds: the notes of the one that runs.
 * `left` is the server that a killed start left behind, if any.
 */
export function takeLock() {
  for (let attempt = 0; attempt < 3; attempt++) {
    try {
      writeFileSync(file, JSON.stringify({ pid: process.pid, began: beganAt(process.pid) }), { flag: 'wx' });
      return { other: null, left: null };
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    const notes = read();
    if (isOurs(notes.pid, notes.began, 'start.mjs')) return { other: notes, left: null };
    rmSync(file, { force: true });
    if (isOurs(notes.server, notes.serverBegan, 'server/dist/main.js')) {
      note({});
      return { other: null, left: notes.server };
    }
  }
  throw new Error(`${file} can’t be taken. Remove it and start again.`);
}

/** Keeps notes for a second start: the address, the server's process. */
export function note(notes) {
  const server = notes.server === undefined ? {} : { serverBegan: beganAt(notes.server) };
  const self = { pid: process.pid, began: beganAt(process.pid) };
  writeFileSync(file, JSON.stringify({ ...read(), ...notes, ...server, ...self }));
}

export const dropLock = () => {
  const { pid, began } = read();
  if (pid === process.pid && (began === undefined || began === beganAt(pid))) rmSync(file, { force: true });
};
