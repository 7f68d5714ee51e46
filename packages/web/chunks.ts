import { readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Plugin } from 'vite';

/** What the bundler says of a module. */
interface Modules {
  getModuleInfo(id: string): { readonly importedIds: readonly string[] } | null;
}

const source = fileURLToPath(new URL('src/', import.meta.url));
const files = (...names: readonly string[]) => names.map((name) => `${source}${name}`);

/** The settings that each kind of arrangement has of its own. */
const ofKinds = readdirSync(`${source}editor/kinds`, { recursive: true })
  .map(String)
  .filter((name) => name.endsWith('Settings.tsx'))
  .map((name) => `editor/kinds/${name}`);

/** Where each script begins that is fetched as one, in the order in which they are fetched. */
const BEGIN = {
  app: files('app/main.tsx'),
  compose: files('editor/frame/Frame.tsx', 'screens/compose/ComposeScreen.tsx'),
  beside: files('editor/besideParts.ts', ...ofKinds),
} as const;
/** Views that must not fetch what only Compose needs. */
const APART = files(
  'screens/collections/CollectionsScreen.tsx',
  'screens/open/OpenScreen.tsx',
  'screens/pictures/PicturesScreen.tsx',
  'screens/fonts/FontsScreen.tsx',
  'screens/recipes/RecipesScreen.tsx',
);

/** The modules of ours that are imported, through ours, from where something begins. */
function reached(begin: readonly string[], modules: Modules): ReadonlySet<string> {
  const all = new Set<string>();
  const add = (id: string) => {
    if (all.has(id) || !id.startsWith(source)) return;
    all.add(id);
    modules.getModuleInfo(id)?.importedIds.forEach(add);
  };
  begin.forEach(add);
  return all;
}

let known: { readonly name: string; readonly of: ReadonlySet<string> }[] | null = null;
let apart: ReadonlySet<string> = new Set();

/**
 * The script that a module goes into, so that a first view is a few files and not a hundred; null: the
 * bundler decides.
 */
export function chunkOf(id: string, modules: Modules): string | null {
  if (!id.startsWith(source)) return null;
  if (!known) {
    known = Object.entries(BEGIN).map(([name, begin]) => ({ name, of: reached(begin, modules) }));
    apart = reached(APART, modules);
  }
  const found = known.find(({ of }) => of.has(id))?.name ?? null;
  return found !== 'app' && apart.has(id) ? null : found;
}

/** Scripts that import each other in a circle may run before what they need: such a build is none. */
export const noCircles: Plugin = {
  name: 'no-circles',
  generateBundle(_, bundle) {
    const done = new Set<string>();
    const visit = (file: string, way: readonly string[]) => {
      if (way.includes(file)) this.error(`Scripts import each other: ${[...way, file].join(' → ')}`);
      const chunk = bundle[file];
      if (done.has(file) || chunk?.type !== 'chunk') return;
      chunk.imports.forEach((next) => visit(next, [...way, file]));
      done.add(file);
    };
    Object.keys(bundle).forEach((file) => visit(file, []));
  },
};
