import { readFileSync, readlinkSync } from 'node:fs';

/** Whether a process of that id lives and its command line holds `words`: a pid alone may be reused. */
export function isRunning(pid, words) {
  if (!pid || !isAlive(pid)) return false;
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').includes(words);
  } catch {
    return false;
  }
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** The folder that a process works in; null when it can’t be told. */
export function folderOf(pid) {
  try {
    return readlinkSync(`/proc/${pid}/cwd`);
  } catch {
    return null;
  }
}

/**
 * When a process began, as the kernel counts it: with the pid it names one process, and no other for as
 * long as the machine runs (proc(5), field 22 of stat, behind the name in brackets).
 */
export function beganAt(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]);
  } catch {
    return null;
  }
}

/** Asks a process to end, and ends it when it does not within `patience` ms. */
export async function endProcess(pid, patience = 8000) {
  if (!isAlive(pid)) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; isAlive(pid) && waited < patience; waited += 50)
    await new Promise((r) => setTimeout(r, 50));
  if (isAlive(pid)) process.kill(pid, 'SIGKILL');
}
