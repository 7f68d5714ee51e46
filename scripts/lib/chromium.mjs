import { existsSync } from 'node:fs';
import { aptInstall } from './apt.mjs';

/** Debian's Chromium, for the tests of the real interface. */
export async function ensureChromium() {
  if (existsSync('/usr/bin/chromium')) return 'there already';
  await aptInstall(['chromium'], 'Chromium');
  return 'installed';
}
