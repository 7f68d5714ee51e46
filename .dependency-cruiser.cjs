/** Imports point one way: core ← cli, server, web; features of web keep to themselves. */
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
          '^(packages/core/src|node_modules/(immer|fast-json-patch|parse5|css-tree|css-select|css-what|domhandler|linebreak|culori|papaparse))',
      },
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
    {
      name: 'features-keep-to-themselves',
      comment: 'a feature of web imports another one only through its index',
      severity: 'error',
      from: { path: '^packages/web/src/features/([^/]+)/' },
      to: {
        path: '^packages/web/src/features/([^/]+)/',
        pathNot: '^packages/web/src/features/($1/|[^/]+/index\\.ts$)',
      },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.lint.json' },
    enhancedResolveOptions: { conditionNames: ['source', 'import', 'require', 'node', 'default'] },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist/|\\.test\\.tsx?$)' },
  },
};
