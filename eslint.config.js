import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';

/** What a folder may not import: the arrows of the house point one way (docs/architecture.md). */
const wall = (files, regex, message, more = {}) => ({
  files,
  ignores: ['**/*.test.ts', '**/*.fixture.ts', 'server/test-kennels.ts'],
  rules: {
    'no-restricted-imports': ['error', { patterns: [{ regex, message }] }],
    ...more,
  },
});

const noClock = ['Date', 'performance', 'window', 'document', 'fetch', 'process', 'localStorage', 'setTimeout', 'setInterval'];

export default ts.config(
  { ignores: ['dist/', 'build/', 'node_modules/', '.banter/', 'test-results/', 'playwright-report/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-control-regex': 'off',
      'no-undef': 'off',
      'no-redeclare': 'off',
      'vue/multi-word-component-names': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'vue/require-default-prop': 'off',
    },
  },
  wall(['core/**/*.ts'], '^(?!\\.|d3-random$)|/(contract|server|web)/', 'core imports nothing but core and, for chance by seed, d3-random.', {
    'no-restricted-globals': ['error', ...noClock.map((name) => ({ name, message: 'core has no clock, no page and no I/O: pass it in.' }))],
  }),
  wall(['contract/**/*.ts'], '^(?!\\.|@banter/core($|/collars/)|zod$|luxon$)|/(server|web)/', 'contract imports core, zod and, for days in a zone, luxon.'),
  wall(
    ['server/**/*.ts'],
    '/web/|^vue|^pinia|^@banter/(core/(?!collars/)|contract/).|\\.\\./(\\.\\./)*(core|contract)/',
    'server imports contract and core by their barrels, never web.',
  ),
  wall(
    ['web/**/*.ts', 'web/**/*.vue'],
    '/server/|^express|^typeorm|^mysql2|^node:|^@banter/(core/(?!collars/)|contract/).|\\.\\./(\\.\\./)*(core|contract)/',
    'web imports contract and core by their barrels, never server.',
  ),
  // How the pages are built is told to a program of Node’s.
  { files: ['web/*.config.ts'], rules: { 'no-restricted-imports': 'off' } },
  prettier,
  // Layout is prettier's; these are the rules of vue's own set that would fight it.
  {
    files: ['**/*.vue'],
    rules: {
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/no-v-html': 'error',
    },
  },
);
