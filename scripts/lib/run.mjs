import { spawn } from 'node:child_process';

const running = new Set();

/** Ends what `run` has under way, when the person stops. */
export const endRunning = () => running.forEach((child) => child.kill('SIGTERM'));

/**
 * Runs a program to its end.
 * @returns {Promise<{code: number, output: string}>} output and errors together
 */
export function run(program, args, { cwd, env, echo = false, allowed = [0] } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd,
      env: env ? { ...process.env, ...env } : process.env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    running.add(child);
    let output = '';
    const take = (stream) => (chunk) => {
      output += chunk;
      if (echo) stream.write(chunk);
    };
    child.stdout.on('data', take(process.stdout));
    child.stderr.on('data', take(process.stderr));
    child.on('error', reject);
    child.on('close', (code) => {
      running.delete(child);
      if (allowed === 'any' || allowed.includes(code)) resolve({ code: code ?? 1, output });
      else reject(new Error(`${program} ${args.join(' ')} ended with ${code}:\n${output.slice(-4000)}`));
    });
  });
}
