import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { own, root } from './paths.mjs';
import { run } from './run.mjs';

const stamp = join(own, 'built');
const RESULTS = ['core/dist/index.js', 'server/dist/main.js', 'cli/dist/main.js', 'web/dist/index.html'];

/** Builds all packages, unless nothing has changed since. */
export async function build() {
  const now = sourcesHash();
  const complete = RESULTS.every((file) => existsSync(join(root, 'packages', file)));
  if (complete && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return 'up to date';
  await run('npm', ['run', 'build', '--loglevel=error'], { cwd: root });
  writeFileSync(stamp, now);
  return 'built';
}

function sourcesHash() {
  const hash = createHash('sha256');
  const visit = (path) => {
    const stat = statSync(path);
    if (!stat.isDirectory()) {
      hash.update(`${relative(root, path)}\0`).update(readFileSync(path));
      return;
    }
    for (const entry of readdirSync(path).sort()) {
      if (entry !== 'dist' && entry !== 'node_modules' && !entry.endsWith('.tsbuildinfo'))
        visit(join(path, entry));
    }
  };
  for (const name of ['packages', 'package-lock.json', 'tsconfig.base.json', 'tsconfig.json'])
    visit(join(root, name));
  return hash.digest('hex');
}
