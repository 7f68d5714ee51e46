import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { own, root } from './paths.mjs';
import { PortTaken } from './ports.mjs';
import { endProcess } from './processes.mjs';

/**
 * Starts the built server and waits until it listens.
 * @returns {Promise<{url: string, child: import('node:child_process').ChildProcess, said: string[], stop: () => Promise<void>}>}
 */
export function startServer({ databaseUrl, port, demo = true }) {
  // Detached: Ctrl+C in a terminal reaches the whole group, and the server must go first, by our word.
  const child = spawn(process.execPath, [join(root, 'packages', 'server', 'dist', 'main.js')], {
    cwd: root,
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      HOST: '127.0.0.1',
      NORIA_WEB: join(root, 'packages', 'web', 'dist'),
      NORIA_DEMO: demo ? join(root, 'demo') : '',
      NORIA_REQUEST_LOG: process.env.NORIA_REQUEST_LOG ?? join(own, 'requests.log'),
    },
  });
  const stop = () => (child.exitCode === null && child.pid ? endProcess(child.pid) : Promise.resolve());
  return new Promise((resolve, reject) => {
    let output = '';
    const said = [];
    child.stderr.on('data', (chunk) => {
      output += chunk;
      if (!output.includes('EADDRINUSE')) process.stderr.write(chunk);
    });
    child.stdout.on('data', (chunk) => {
      output += chunk;
      for (const text of String(chunk).split('\n').filter(Boolean)) {
        if (text.startsWith('listening: ')) resolve({ url: text.slice(11), child, said, stop });
        else said.push(text);
      }
    });
    child.on('error', reject);
    child.on('exit', (code) =>
      reject(
        output.includes('EADDRINUSE')
          ? new PortTaken(port)
          : new Error(`The server ended with ${code} before it listened:\n${output.slice(-3000)}`),
      ),
    );
  });
}
