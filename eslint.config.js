import boundaries from 'eslint-plugin-boundaries';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

const layer = (name) => ({ type: name, pattern: `core/src/${name}` });
const element = (type) => ({ element: { type } });
const policy = (from, to) => ({ from: element(from), allow: [from, ...to].map((t) => ({ to: element(t) })) });

/** What a browser or Node has and the language itself has not: core stands without either. */
const outside = [...new Set([...Object.keys(globals.browser), ...Object.keys(globals.node)])].filter(
  (name) => !Object.hasOwn(globals.es2025, name),
);

/** Who may import whom inside core, from the ground up. */
const allowed = {
  quantity: [],
  law: ['quantity'],
  physics: ['quantity', 'law'],
  practice: ['quantity', 'law'],
  catalogue: ['quantity', 'law', 'physics', 'practice'],
  case: ['quantity', 'law', 'physics', 'practice'],
  nameplate: ['quantity', 'law', 'physics', 'practice', 'catalogue', 'case'],
  stations: ['quantity', 'law', 'physics', 'practice', 'catalogue', 'case', 'nameplate'],
};

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
  { files: ['**/*.svelte', '**/*.svelte.ts'], languageOptions: { parserOptions: { parser: ts.parser } } },
  {
    files: ['core/src/**/*.ts'],
    plugins: { boundaries },
    settings: {
      'import/resolver': { node: { extensions: ['.ts', '.js'] } },
      'boundaries/elements': [...Object.keys(allowed).map(layer)],
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [...Object.entries(allowed).map(([from, to]) => policy(from, to))],
        },
      ],
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
    // Nothing below the walk imports it, by file or by core's own front door.
    files: ['core/src/*/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: String.raw`/solve$|^(\.\./)*\.\.(/index)?$|^node:|svelte|^@pilgrim/|/web/`,
              message: 'core is built from the ground up: nothing below the walk imports it, Node or the interface',
            },
          ],
        },
      ],
    },
  },
  {
    // A station never imports another; the passes' shared modules are no stations.
    files: [
      'core/src/stations/{plate,measured,history,replacement,load,place,supply,speed,choice,start,guard,drive,cost,sheet}.ts',
    ],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^\\./(plate|measured|history|replacement|load|place|supply|speed|choice|start|guard|drive|cost|sheet)$',
              message: 'a station never imports another station',
            },
          ],
        },
      ],
    },
  },
);
