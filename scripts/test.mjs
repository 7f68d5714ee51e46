/** Sets up what the tests need, runs them all, and ends with one line over all runners. */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { installPackages, requireNode } from './lib/packages.mjs';
import { own, root } from './lib/paths.mjs';
import { ensurePostgres, startPostgres } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { fail, step } from './lib/step.mjs';

const results = join(own, 'results');
const totals = { passed: 0, failed: 0 };
let postgres = null;

/** A tool that passes or fails as a whole counts as one. */
async function check(name, script) {
  const { code, output } = await step(name, async () => {
    const ended = await run('npm', ['run', script, '--loglevel=error'], { cwd: root, allowed: 'any' });
    return Object.assign(ended, { toString: () => '' });
  });
  totals[code === 0 ? 'passed' : 'failed']++;
  if (code !== 0) console.log(output);
}

/** A runner that writes its counts as JSON; one that wrote none has failed. */
async function runner(name, args, file, count, env) {
  console.log(`\n${name}`);
  rmSync(file, { force: true });
  const { code } = await run('npx', args, { cwd: root, env, echo: true, allowed: 'any' });
  let counted = { passed: 0, failed: 0 };
  try {
    counted = count(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    counted.failed = 1;
  }
  if (code !== 0 && counted.failed === 0) counted.failed = 1;
  totals.passed += counted.passed;
  totals.failed += counted.failed;
}

async function test() {
  requireNode();
  mkdirSync(results, { recursive: true });
  await step('Packages', installPackages);
  await step('Chromium', ensureChromium);
  let databaseUrl = process.env.DATABASE_URL;
  if (!databaseUrl) {
    await step('PostgreSQL', ensurePostgres);
    await step('Database', async () => (postgres = await startPostgres('postgres-test')).said);
    databaseUrl = postgres.url('postgres');
  }
  await step('Build', build);
  await Promise.all([
    check('Type check', 'typecheck'),
    check('Lint', 'lint'),
    check('Imports', 'imports'),
    check('Sizes', 'sizes'),
  ]);

  // The tests make databases of their own beside this one, and drop them.
  const env = { DATABASE_URL: databaseUrl };
  const jest = join(results, 'jest.json');
  await runner(
    'Jest',
    ['jest', '--json', `--outputFile=${jest}`],
    jest,
    ({ numPassedTests, numFailedTests, numFailedTestSuites }) => ({
      passed: numPassedTests,
      failed: Math.max(numFailedTests, numFailedTestSuites),
    }),
    env,
  );
  const playwright = join(results, 'playwright.json');
  await runner(
    'Playwright',
    ['playwright', 'test', '--reporter=line,json,./e2e/failures.ts'],
    playwright,
    ({ stats, errors }) => ({
      passed: stats.expected,
      failed: stats.unexpected + stats.flaky + errors.length,
    }),
    { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: playwright },
  );
}

async function leave() {
  if (postgres && !postgres.adopted) await postgres.stop();
}

for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => void leave().then(() => process.exit(130)));
}

test()
  .then(leave)
  .then(
    () => {
      console.log(`\n${totals.passed} passed, ${totals.failed} failed`);
      process.exit(totals.failed > 0 || totals.passed === 0 ? 1 : 0);
    },
    (error) => leave().finally(() => fail(error)),
  );
