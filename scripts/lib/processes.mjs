import { readFileSync } from 'node:fs';

/** Whether a process of that id lives and its command line holds `words`: a pid alone may be reused. */
export function isRunning(pid, words) {
  if (!pid) return false;
  try {
    process.kill(pid, 0);
  } catch (error) {
    if (error.code !== 'EPERM') return false;
  }
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').includes(words);
  } catch {
    return false;
  }
}

/** Asks a process to end, and ends it when it does not within `patience` ms. */
export async function endProcess(pid, patience = 8000) {
  const alive = () => {
    try {
      process.kill(pid, 0);
      return true;
    } catch {
      return false;
    }
  };
  if (!alive()) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; alive() && waited < patience; waited += 50)
    await new Promise((r) => setTimeout(r, 50));
  if (alive()) process.kill(pid, 'SIGKILL');
}
