import { run } from './run.mjs';
import { SetupError } from './step.mjs';

/** Installs Debian packages; says what to install by hand where that can't be done here. */
export async function aptInstall(packages, what) {
  const byHand = `Install ${what} (on Debian: apt-get install ${packages.join(' ')}), then run this again.`;
  const { code } = await run('sh', ['-c', 'command -v apt-get'], { allowed: 'any' });
  if (code !== 0) throw new SetupError(`${what} is missing and there is no apt-get here. ${byHand}`);
  if (process.getuid?.() !== 0)
    throw new SetupError(`${what} is missing, and only root can install it. ${byHand}`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  const install = ['install', '-y', '--no-install-recommends', ...packages];
  try {
    const first = await run('apt-get', install, { env, allowed: 'any' });
    if (first.code === 0) return;
    await run('apt-get', ['update'], { env });
    await run('apt-get', install, { env });
  } catch (error) {
    throw new SetupError(`${what} could not be installed. ${byHand}\n${error.message}`);
  }
}
