/** The floors of core, from the ground up: each imports from itself and from those before it. */
const FLOORS = [
  'geometry',
  'engine',
  'document',
  'look',
  'arrangements',
  'parts',
  'layout',
  'check',
  'edit',
  'analysis',
  'reader',
  'export',
];

/** The floors of web; the first two stand beside each other. */
const WEB_FLOORS = ['(ui|api)', 'editor', 'screens', 'app'];

/** Imports point one way: core ← cli, server, web, and in each from floor to floor. */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      comment: 'core has no interface, no DOM, no Node API',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$|^packages/core/src/testing/' },
      to: {
        pathNot:
          '^(packages/core/src|css-tree/|node_modules/(@types/)?(immer|fast-json-patch|parse5|css-tree|css-select|css-what|domhandler|linebreak|culori|papaparse))',
      },
    },
    ...FLOORS.slice(1).flatMap((floor, k) => ({
      name: `core-${floor}-stands-on-what-is-above-it`,
      comment: `core’s floors: ${FLOORS.join(' ← ')}`,
      severity: 'error',
      from: { path: `^packages/core/src/(${FLOORS.slice(0, k + 1).join('|')})/` },
      to: { path: `^packages/core/src/${floor}/` },
    })),
    {
      name: 'core-kinds-keep-to-themselves',
      comment: 'a kind of arrangement imports none of another kind',
      severity: 'error',
      from: {
        path: '^packages/core/src/arrangements/([^/]+)/',
        pathNot: '^packages/core/src/arrangements/shared/',
      },
      to: {
        path: '^packages/core/src/arrangements/[^/]+/',
        pathNot: '^packages/core/src/arrangements/($1|shared)/',
      },
    },
    {
      name: 'core-shared-knows-no-kind',
      severity: 'error',
      from: { path: '^packages/core/src/arrangements/shared/' },
      to: {
        path: '^packages/core/src/arrangements/[^/]+/',
        pathNot: '^packages/core/src/arrangements/shared/',
      },
    },
    {
      name: 'core-kinds-know-no-index',
      comment: 'the index knows the kinds, never the reverse',
      severity: 'error',
      from: { path: '^packages/core/src/arrangements/[^/]+/' },
      to: { path: '^packages/core/src/arrangements/[^/]+\\.ts$', pathNot: '/kind\\.ts$' },
    },
    {
      name: 'core-parts-keep-to-themselves',
      comment: 'a part imports none of another part; only compositions know several',
      severity: 'error',
      from: {
        path: '^packages/core/src/parts/([^/]+)/',
        pathNot: '^packages/core/src/parts/(shared|compositions)/',
      },
      to: {
        path: '^packages/core/src/parts/[^/]+/',
        pathNot: '^packages/core/src/parts/($1|shared)/',
      },
    },
    {
      name: 'core-parts-are-asked-by-the-index',
      comment: 'nobody but the index and the compositions reaches into the folder of a part',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '^packages/core/src/parts/([^/]+/|index\\.ts$)' },
      to: {
        path: '^packages/core/src/parts/[^/]+/',
        pathNot: '^packages/core/src/parts/(shared|compositions)/',
      },
    },
    {
      name: 'core-parts-know-no-index',
      comment: 'the index knows the parts, never the reverse; compositions ask it',
      severity: 'error',
      from: { path: '^packages/core/src/parts/[^/]+/', pathNot: '^packages/core/src/parts/compositions/' },
      to: { path: '^packages/core/src/parts/index\\.ts$' },
    },
    {
      name: 'testing-is-for-tests',
      severity: 'error',
      from: { path: '^packages/[a-z]+/src', pathNot: '\\.test\\.tsx?$|/src/testing/' },
      to: { path: '^packages/[a-z]+/src/testing/' },
    },
    {
      name: 'packages-import-only-core',
      severity: 'error',
      from: { path: '^packages/(cli|server|web)/src' },
      to: { path: '^packages/(cli|server|web)/src', pathNot: '^packages/$1/src' },
    },
    ...WEB_FLOORS.slice(1).flatMap((floor, k) => ({
      name: `web-${floor}-stands-on-what-is-above-it`,
      comment: `web’s floors: ui, api ← ${WEB_FLOORS.slice(1).join(' ← ')}`,
      severity: 'error',
      from: { path: `^packages/web/src/(${WEB_FLOORS.slice(0, k + 1).join('|')})/` },
      to: { path: `^packages/web/src/${floor}/` },
    })),
    {
      name: 'web-ui-and-api-keep-apart',
      comment: 'what is drawn knows no server, and what speaks with the server draws nothing',
      severity: 'error',
      from: { path: '^packages/web/src/(ui|api)/' },
      to: { path: '^packages/web/src/(ui|api)/', pathNot: '^packages/web/src/$1/' },
    },
    {
      name: 'screens-keep-to-themselves',
      comment: 'a screen imports none of another screen: what two need is the editor’s',
      severity: 'error',
      from: { path: '^packages/web/src/screens/([^/]+)/' },
      to: { path: '^packages/web/src/screens/', pathNot: '^packages/web/src/screens/$1/' },
    },
    {
      name: 'screens-come-when-they-are-gone-to',
      comment: 'the router fetches each screen by itself, so that the first is light',
      severity: 'error',
      from: { path: '^packages/web/src/app/' },
      to: { path: '^packages/web/src/screens/', dependencyTypesNot: ['dynamic-import'] },
    },
  ],
  options: {
    // Types make circles too.
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.lint.json' },
    enhancedResolveOptions: { conditionNames: ['source', 'import', 'require', 'node', 'default'] },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist/|\\.test\\.tsx?$)' },
  },
};
