import boundaries from 'eslint-plugin-boundaries';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

/** The floors of core, from the ground up: a room may import what lies on floors below its own, and itself. */
const floors = [
  ['quantity'],
  ['contract'],
  ['law'],
  ['physics', 'practice'],
  ['catalogue', 'case'],
  ['nameplate'],
  ['needs'],
  ['runs'],
  ['judge'],
  ['stations'],
  ['walk'],
];
const rooms = floors.flat();
const element = (type) => ({ element: { type } });
const policies = floors.flatMap((floor, level) =>
  floor.map((room) => ({
    from: element(room),
    allow: [room, ...floors.slice(0, level).flat()].map((t) => ({ to: element(t) })),
  })),
);

/** What a browser or Node has and the language itself has not: core stands without either. */
const outside = [...new Set([...Object.keys(globals.browser), ...Object.keys(globals.node)])].filter(
  (name) => !Object.hasOwn(globals.es2025, name),
);

/** What may be longer than a line: a row of a table, a regular expression's text, a test's title. */
const longer = String.raw`^\s*[[{].*[\]}],?$|^\s*[A-Z]: '|String\.raw|^\s*(it|test|describe)\(|prettier-ignore$`;

export default ts.config(
  {
    ignores: [
      '**/node_modules',
      'dist',
      'web/build',
      'web/.svelte-kit',
      'web/src/lib/generated',
      '.pilgrim',
      'test-results',
    ],
  },
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'svelte/prefer-svelte-reactivity': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.js', '**/*.mjs'],
    ignores: ['core/test/plates/*.ts', 'core/test/findings.test.ts'], // tables all through
    rules: { 'max-len': ['error', { code: 120, ignoreRegExpLiterals: true, ignorePattern: longer }] },
  },
  { files: ['**/*.svelte', '**/*.svelte.ts'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    files: ['core/src/**/*.ts'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { node: { extensions: ['.ts', '.js'] } },
      'boundaries/elements': rooms.map((room) => ({ type: room, pattern: `core/src/${room}` })),
    },
    rules: {
      'boundaries/dependencies': ['error', { default: 'disallow', policies }],
      'no-restricted-imports': [
        'error',
        { patterns: ['**/web/**', 'node:*', 'svelte*', '@sveltejs/*', '@pilgrim/web*'] },
      ],
      'no-restricted-globals': ['error', ...outside],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core has no randomness without a seed' },
        { object: 'Date', property: 'now', message: 'core has no clock' },
      ],
    },
  },
  {
    // Nothing imports core by its own front door, Node or the interface.
    files: ['core/src/*/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: String.raw`^(\.\./)*\.\.(/index)?$|^node:|svelte|^@pilgrim/|/web/`,
              message: 'core is built from the ground up, without its front door, Node or the interface',
            },
          ],
        },
      ],
    },
  },
  {
    // A station never imports another: what two share lies below them.
    files: ['core/src/stations/*/*.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        { patterns: [{ regex: String.raw`^\.\./(?!\.\./)`, message: 'a station never imports another station' }] },
      ],
    },
  },
);
