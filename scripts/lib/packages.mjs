import { createHash } from 'node:crypto';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { run } from './run.mjs';
import { SetupError } from './step.mjs';

const stamp = join(root, 'node_modules', '.noria-installed');
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');

/** Installs the packages when they are missing, half installed, or the lock file changed. */
export async function installPackages() {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash()) return 'installed already';
  const install = () => run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root });
  try {
    // What an install cut short leaves behind can keep the next one from clearing it away.
    await install().catch(() => {
      rmSync(join(root, 'node_modules'), { recursive: true, force: true, maxRetries: 5 });
      return install();
    });
  } catch (error) {
    throw new SetupError(
      `The packages could not be installed. Is the npm registry within reach?\n${error.message}`,
    );
  }
  writeFileSync(stamp, lockHash());
  return 'installed';
}

/** Refuses a Node.js that Noria does not run on, before anything else fails in a stranger way. */
export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if ((major === 20 && minor >= 20) || (major === 22 && minor >= 12) || major > 22) return;
  throw new SetupError(`Noria needs Node.js 20.20 or newer; this is ${process.versions.node}.`);
}
