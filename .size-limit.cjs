const { readFileSync } = require('node:fs');
const { join } = require('node:path');

const dist = join('packages', 'web', 'dist');
/** Every script, with those that it needs before it runs, and those that come later. */
const manifest = JSON.parse(readFileSync(join(__dirname, dist, '.vite', 'manifest.json'), 'utf8'));

/** The files that scripts need before they run, each once. */
function needed(...names) {
  const found = new Set();
  const add = (name) => {
    const { file, imports = [] } = manifest[name];
    if (found.has(file)) return;
    found.add(file);
    imports.forEach(add);
  };
  names.forEach(add);
  return [...found].map((file) => join(dist, file));
}

const start = 'index.html';
const frame = 'src/editor/frame/Frame.tsx';
const screen = (name) => `src/screens/${name.toLowerCase()}/${name}Screen.tsx`;

/** What a page of Noria fetches in scripts before it shows anything, and each worker; gzipped. */
module.exports = [
  { name: 'Collections, the first view', path: needed(start, screen('Collections')), limit: '180 kB' },
  { name: 'Compose, before its first paint', path: needed(start, frame, screen('Compose')), limit: '330 kB' },
  { name: 'The engine’s worker', path: join(dist, 'assets', 'engine.worker-*.js'), limit: '170 kB' },
  {
    name: 'The worker that unpacks archives',
    path: join(dist, 'assets', 'unpack.worker-*.js'),
    limit: '170 kB',
  },
].map((each) => ({ ...each, gzip: true }));
