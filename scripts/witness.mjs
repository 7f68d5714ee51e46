/** Compares many more random pages with the browser than the test run does: npm run witness. */
import { build } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { root } from './lib/paths.mjs';
import { run } from './lib/run.mjs';
import { step } from './lib/step.mjs';

await step('Chromium', ensureChromium);
await step('Build', build);
const env = {
  WITNESS_PAGES: process.env.WITNESS_PAGES ?? '20000',
  WITNESS_COLLECTIONS: process.env.WITNESS_COLLECTIONS ?? '400',
  WITNESS_SEED: process.env.WITNESS_SEED ?? '1',
};
const { code } = await run('npx', ['playwright', 'test', 'e2e/witness', '--reporter=line'], {
  cwd: root,
  env,
  echo: true,
  allowed: 'any',
});
process.exit(code);
