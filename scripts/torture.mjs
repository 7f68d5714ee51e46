/** Kills servers, database, network, tabs and browser at random for long, and counts lost edits: npm run torture. */
import { build } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { root } from './lib/paths.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { step } from './lib/step.mjs';

await step('Chromium', ensureChromium);
await step('PostgreSQL', ensurePostgres);
await step('Build', build);
const env = {
  TORTURE_SECONDS: process.env.TORTURE_SECONDS ?? '600',
  TORTURE_SEED: process.env.TORTURE_SEED ?? String(Date.now() % 100_000),
};
const { code } = await run('npx', ['playwright', 'test', 'e2e/torture.spec.ts', '--reporter=line'], {
  cwd: root,
  env,
  echo: true,
  allowed: 'any',
});
process.exit(code);
