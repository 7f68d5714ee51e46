import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

const KINDS = 'bento|fluid|masonry|mosaic|fan';
const ELSEWHERE = 'What belongs to a kind of arrangement lives in its folder: ask `kindOf(arrangement)`.';
/** A kind's name in a comparison, a switch or a record; `rows` is also a word of its own. */
const KIND_NAMES = [
  `Literal[value=/^(${KINDS})$/]`,
  `Property[key.name=/^(${KINDS})$/]`,
  `MemberExpression[property.name=/^(${KINDS})$/]`,
  'BinaryExpression > Literal[value="rows"]',
  'SwitchCase > Literal[value="rows"]',
  'Property[key.name="kind"] > Literal[value="rows"]',
].map((selector) => ({ selector, message: ELSEWHERE }));

const PARTS = 'eyebrow|heading|text|figure|label|quote|source|icons|action|picture|film';
/** A part's name where something is told by its kind; fills and files of pages have kinds of their own. */
const PART_NAMES = [
  `BinaryExpression[left.property.name="kind"]:not([left.object.name=/^(fill|paint|asset)$/]) > Literal[value=/^(${PARTS})$/]`,
  `BinaryExpression[left.name="kind"] > Literal[value=/^(${PARTS})$/]`,
  `SwitchStatement[discriminant.property.name="kind"] SwitchCase > Literal[value=/^(${PARTS})$/]`,
  `Property[key.name="kind"] > Literal[value=/^(${PARTS.replace('|picture|film', '')})$/]`,
].map((selector) => ({
  selector,
  message: 'What belongs to a part lives in its folder: ask `partKindOf(part)` or `compositionOf(card)`.',
}));

const KIND_PLACES = [
  'packages/core/src/arrangements/*/**',
  'packages/core/src/arrangements/index.ts',
  'packages/core/src/document/arrangement.ts',
];
/** The last tells which parts the elements of any page are. */
const PART_PLACES = [
  'packages/core/src/parts/**',
  'packages/core/src/document/parts.ts',
  'packages/core/src/reader/content.ts',
];
/** What names everything that an older format version had. */
const OLDER_FORMATS = 'packages/core/src/check/migrations/**';
const TESTS = ['**/*.test.{ts,tsx}', 'packages/*/src/testing/**'];
/** In web a kind has its interface in a folder of its own. */
const KIND_INTERFACES = 'packages/web/src/editor/kinds/**';
/** And a part one in this folder. */
const PART_INTERFACES = 'packages/web/src/editor/parts/**';
const CODE = 'packages/{core,cli,server}/src/**/*.ts';

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
  {
    files: [CODE],
    ignores: [...TESTS, OLDER_FORMATS, ...KIND_PLACES, ...PART_PLACES],
    rules: { 'no-restricted-syntax': ['error', ...KIND_NAMES, ...PART_NAMES] },
  },
  { files: KIND_PLACES, ignores: TESTS, rules: { 'no-restricted-syntax': ['error', ...PART_NAMES] } },
  { files: PART_PLACES, ignores: TESTS, rules: { 'no-restricted-syntax': ['error', ...KIND_NAMES] } },
  {
    files: ['packages/web/src/**/*.{ts,tsx}'],
    ignores: [...TESTS, KIND_INTERFACES, PART_INTERFACES],
    rules: { 'no-restricted-syntax': ['error', ...KIND_NAMES, ...PART_NAMES] },
  },
  { files: [KIND_INTERFACES], ignores: TESTS, rules: { 'no-restricted-syntax': ['error', ...PART_NAMES] } },
  { files: [PART_INTERFACES], ignores: TESTS, rules: { 'no-restricted-syntax': ['error', ...KIND_NAMES] } },
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
