const esModules =
  '@nestjs|@noria|file-type|strtok3|token-types|uint8array-extras|@tokenizer|@borewit|load-esm|immer|uuid|parse5|entities|css-tree|css-select|css-what|domhandler|domutils|domelementtype|dom-serializer|nth-check|boolbase|culori|p-queue|lru-cache|p-timeout|eventemitter3|@exodus|@asamuzakjp|@csstools|@bramus|lru-cache|isomorphic-dompurify|dompurify|css-tree|whatwg-[a-z]+|parse5|entities|tough-cookie|tldts|tldts-core|is-potential-custom-element-name|xml-name-validator|data-urls|mdn-data|bidi-js|parse5-htmlparser2-tree-adapter';

/** Jest runs in CommonJS mode here, so packages that are only ES modules are transformed as well. */
const project = (name, setupFiles = []) => ({
  displayName: name,
  rootDir: `packages/${name}`,
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  transform: {
    '^.+\\.[cm]?[jt]sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2023',
          parser: { syntax: 'typescript', tsx: name === 'web', decorators: true },
          transform: {
            legacyDecorator: true,
            decoratorMetadata: true,
            useDefineForClassFields: false,
            react: { runtime: 'automatic' },
          },
          keepClassNames: true,
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!(${esModules})/)`],
  moduleNameMapper: {
    '^(\\.{1,2}/.*)\\.js$': '$1',
    '^idb-keyval$': '<rootDir>/src/testing/idbKeyval.ts',
    // What the bundler makes an address of a file.
    '\\?url$': '<rootDir>/src/testing/address.ts',
  },
  testEnvironmentOptions: { customExportConditions: ['source', 'node', 'node-addons'] },
  setupFiles: ['<rootDir>/../../jest.seed.cjs', ...setupFiles],
});

module.exports = {
  // Generous: the machine is shared, and stalls for long at times.
  testTimeout: 600_000,
  projects: [project('core'), project('server', ['reflect-metadata']), project('cli'), project('web')],
};
