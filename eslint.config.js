import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/', '.noria/', 'test-results/', 'playwright-report/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strictTypeChecked, tseslint.configs.stylisticTypeChecked],
    languageOptions: {
      parserOptions: { project: './tsconfig.lint.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-dynamic-delete': 'off',
      // Nest's options are classes that are only ever written as literals.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/non-nullable-type-assertion-style': 'off',
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true },
      ],
      '@typescript-eslint/prefer-nullish-coalescing': ['error', { ignorePrimitives: { string: true } }],
    },
  },
  { files: ['packages/web/**/*.{ts,tsx}'], ...reactHooks.configs.flat.recommended },
  { files: ['**/*.{mjs,cjs,js}'], languageOptions: { globals: globals.node } },
  // What it hands to `page.evaluate` runs in the browser.
  {
    files: [
      'scripts/screenshots.mjs',
      'scripts/bench.mjs',
      'scripts/benchStage.mjs',
      'scripts/benchMany.mjs',
      'scripts/benchPictures.mjs',
      'scripts/lib/frames.mjs',
      'scripts/benchFit.mjs',
    ],
    languageOptions: { globals: globals.browser },
  },
  { files: ['packages/web/public/*.js'], languageOptions: { globals: globals.browser } },
  // Playwright names what a fixture takes by destructuring, even when that is nothing.
  { files: ['e2e/**'], rules: { 'no-empty-pattern': 'off' } },
  prettier,
);
