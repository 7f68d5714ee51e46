import { ENLARGE_SCRIPT, FAMILIES } from '@noria/core';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { defaultClientConditions, defineConfig, type Plugin } from 'vite';
import { chunkOf, noCircles } from './chunks';

/** The script of exported pages beside the interface, whose policy lets Preview run nothing else. */
const enlargeScript: Plugin = {
  name: 'enlarge-script',
  configureServer: (server) =>
    void server.middlewares.use('/enlarge.js', (_, response) => {
      response.setHeader('Content-Type', 'text/javascript');
      response.end(ENLARGE_SCRIPT);
    }),
  generateBundle() {
    this.emitFile({ type: 'asset', fileName: 'enlarge.js', source: ENLARGE_SCRIPT });
  },
};

const { resolve: resolvePackage } = createRequire(import.meta.url);
const fontFiles = new Map(
  Object.values(FAMILIES).flatMap(({ package: from, files }) =>
    files.map(({ file }) => [file, resolvePackage(`${from}/files/${file}`)] as const),
  ),
);

/** The fonts that ship, under the names that core has for them. */
const shippedFonts: Plugin = {
  name: 'shipped-fonts',
  configureServer: (server) =>
    void server.middlewares.use('/fonts', (request, response, next) => {
      const path = fontFiles.get((request.url ?? '').slice(1));
      if (!path) return next();
      response.setHeader('Content-Type', 'font/woff2');
      return response.end(readFileSync(path));
    }),
  generateBundle() {
    for (const [file, path] of fontFiles)
      this.emitFile({ type: 'asset', fileName: `fonts/${file}`, source: readFileSync(path) });
  },
};

/** In the place of what packages bring along and nobody asks for. */
const notAsked = fileURLToPath(new URL('notAsked.ts', import.meta.url));

/** What the first view needs, and so every other. */
const BASE =
  /(?<!recharts[\\/])node_modules[\\/](react|react-dom|scheduler|react-redux|redux|redux-thunk|@reduxjs[\\/]toolkit[\\/]dist[\\/](?!query)|immer|reselect|react-router|react-error-boundary|use-sync-external-store|idb-keyval|fast-json-patch)[\\/]|core[\\/]src[\\/](document[\\/](limits|slug)|engine[\\/]css[\\/]largestTrack|parts[\\/]families|edit[\\/]patch[\\/](difference|applyPatch))\./;
/** What lays out and checks collections. */
const CORE = /core[\\/]src[\\/](geometry|engine|document|arrangements|layout|check)[\\/]/;
/** What changes them, as far as Compose needs it at once. */
const EDIT =
  /core[\\/]src[\\/](edit[\\/](commands[\\/](level|arrangement|draft|place|kinds|tiles|parts|bands|findings|inherit|moveToCell|copies|assets|tracks|areas|groups|transfer|bandLooks)|patch[\\/]change|outgrown|emptyDocument|join[\\/]\w+)|parts[\\/](newTile|enlarge|becoming)|analysis[\\/](fit[\\/]needs|packing[\\/]spansByShape))\./;
/** What reads a grid that is said in words. */
const DESIGN = /core[\\/]src[\\/]analysis[\\/]design[\\/]\w+\./;
/** Menus and dialogs: they come with the first view that has some. */
const MENUS =
  /node_modules[\\/](@radix-ui[\\/]react-(alert-dialog|dialog|presence|dismissable-layer|focus-scope|focus-guards|portal|menu|dropdown-menu|popper|use-size)|@floating-ui[\\/][\w-]+|tslib|use-callback-ref|use-sidecar|react-remove-scroll|react-remove-scroll-bar|react-style-singleton|aria-hidden)[\\/]/;
/** What hands of Compose are made with. */
const HANDS =
  /node_modules[\\/](@radix-ui[\\/]react-(collapsible|context-menu|slider|popover|select|radio-group|progress|visually-hidden)|@radix-ui[\\/]number|@dnd-kit[\\/]\w+|@tanstack[\\/][\w-]+|lucide-react[\\/]dist[\\/]esm[\\/]icons[\\/](arrow-(up|down)|between-\w+-\w+|check|chevron-\w+|dices|ellipsis-vertical|link-2|unlink-2|triangle-exclamation-point))[\\/.]/;

/** What of domutils reads news feeds, changes documents, or asks in the way of before CSS selectors. */
const lessOfDomutils: Plugin = {
  name: 'less-of-domutils',
  enforce: 'pre',
  resolveId: (source, importer) =>
    /^\.\/(feeds|legacy|manipulation)\.js$/.test(source) && /[\\/]domutils[\\/]/.test(importer ?? '')
      ? notAsked
      : null,
};

export default defineConfig({
  plugins: [react(), tailwindcss(), enlargeScript, shippedFonts, lessOfDomutils, noCircles],
  resolve: {
    conditions: ['source', ...defaultClientConditions],
    alias: {
      'source-map-js/lib/source-map-generator.js': notAsked,
      'dom-serializer': notAsked,
    },
  },
  worker: { format: 'es', plugins: () => [lessOfDomutils] },
  build: {
    target: 'es2023',
    assetsInlineLimit: 0,
    manifest: true,
    rolldownOptions: {
      output: {
        // Few files: many small ones weigh more.
        codeSplitting: {
          groups: [
            { name: 'base', test: BASE, priority: 2 },
            { name: 'core', test: CORE, priority: 1 },
            { name: 'edit', test: EDIT, includeDependenciesRecursively: false },
            { name: 'design', test: DESIGN, includeDependenciesRecursively: false },
            { name: 'menus', test: MENUS, includeDependenciesRecursively: false },
            { name: 'hands', test: HANDS, includeDependenciesRecursively: false },
            { name: chunkOf, includeDependenciesRecursively: false },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4680' } },
});
