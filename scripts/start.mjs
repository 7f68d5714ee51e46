/** Sets Noria up on this machine, serves it with the demo workspace, and cleans up on Ctrl+C. */
import { build } from './lib/build.mjs';
import { dropLock, note, takeLock } from './lib/lock.mjs';
import { installPackages, requireNode } from './lib/packages.mjs';
import { ensureDatabase, ensurePostgres, startPostgres } from './lib/postgres.mjs';
import { withFreePort } from './lib/ports.mjs';
import { endProcess } from './lib/processes.mjs';
import { endRunning } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';
import { fail, step } from './lib/step.mjs';

const PREFERRED_PORT = Number(process.env.PORT ?? 4680);
let server = null;
let postgres = null;
let leaving = false;
/** What brings the server to another port of PostgreSQL: it ends before anything is stopped. */
let following = Promise.resolve();

async function leave(status) {
  if (leaving) return;
  leaving = true;
  endRunning();
  await following;
  if (server) await server.stop();
  if (postgres) await postgres.stop();
  dropLock();
  process.exit(status);
}

async function start() {
  requireNode();
  const { other, left } = takeLock();
  if (other) {
    console.log(
      `Noria runs already${other.url ? ` at ${other.url}` : ' and is just starting'} (process ${other.pid}). Stop it there with Ctrl+C.`,
    );
    return process.exit(0);
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      console.log('\nStopping.');
      void leave(0);
    });
  }
  if (left) await step('Server left by an earlier start', async () => (await endProcess(left), 'stopped'));
  await step('Packages', installPackages);
  let databaseUrl = process.env.DATABASE_URL;
  if (databaseUrl) console.log('  Database: from DATABASE_URL');
  else {
    await step('PostgreSQL', ensurePostgres);
    await step('Database', async () => {
      postgres = await startPostgres('postgres');
      databaseUrl = await ensureDatabase(postgres.url, 'noria');
      return postgres.said;
    });
  }
  await step('Build', build);
  await step('Server', async () => {
    const port = await withFreePort(PREFERRED_PORT, (free) => serve(databaseUrl, free));
    const taken = port === PREFERRED_PORT ? '' : `; port ${PREFERRED_PORT} is in use, so on ${port}`;
    return `serving${taken}${server.said.length > 0 ? `; ${server.said.join('; ')}` : ''}`;
  });
  if (postgres) watchPostgres(databaseUrl);
  console.log(`\nNoria is at ${server.url}\nCtrl+C stops it.`);
}

/** Serves on a port; when the server ends by itself, so does the start. */
async function serve(databaseUrl, port) {
  const started = await startServer({ databaseUrl, port });
  server = started;
  note({ server: started.child.pid, url: started.url });
  started.child.on('exit', (code) => {
    if (leaving || server !== started) return;
    console.error(`The server ended with ${code}.`);
    void leave(1);
  });
}

const LOOK_EVERY_MS = 1000;
const MOST_RESTARTS = 5;

/**
 * Starts PostgreSQL again when it ends while Noria is served. The server then goes on by itself; when
 * another program has taken PostgreSQL’s port meanwhile, it is started again with the new one.
 */
function watchPostgres(databaseUrl) {
  const address = new URL(databaseUrl);
  const webPort = Number(new URL(server.url).port);
  const follow = async () => {
    if (Number(address.port) === postgres.port) return;
    const before = server;
    server = null;
    await before?.stop();
    const next = new URL(address);
    next.port = String(postgres.port);
    await serve(next.href, webPort);
    address.port = next.port;
  };
  let restarts = 0;
  const look = async () => {
    if (leaving) return;
    if (!postgres.isAlive()) {
      if (++restarts > MOST_RESTARTS) {
        console.error(`PostgreSQL ended ${restarts} times; see ${postgres.folder}/noria.log.`);
        return leave(1);
      }
      console.error('PostgreSQL ended. Starting it again …');
      try {
        postgres = await startPostgres('postgres', postgres.port);
        if (leaving) return await postgres.stop();
        console.error(`PostgreSQL is ${postgres.said}.`);
      } catch (error) {
        console.error(error.message);
      }
    }
    if (leaving) return;
    following = follow().catch((error) => console.error(error.message));
    await following;
    setTimeout(look, LOOK_EVERY_MS).unref();
  };
  setTimeout(look, LOOK_EVERY_MS).unref();
}

start().catch(async (error) => {
  if (leaving) return;
  if (server) await server.stop();
  if (postgres) await postgres.stop();
  dropLock();
  fail(error);
});
