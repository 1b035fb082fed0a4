/**
 * Lint rules. The part that matters most here is the direction of imports: it holds the architecture,
 * since a folder alone leaks. `ORDER` is the order of the craft; a folder of core may import those before it.
 */
import js from '@eslint/js';
import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const ORDER = [
  'measure',
  'geometry',
  'findings',
  'lines',
  'panels',
  'frames',
  'setup',
  'joints',
  'sheets',
  'timber',
  'epoxy',
  'plan',
  'project',
  'exchange',
];

const NOT_IN_CORE = ['react', 'react-*', '@mui/*', 'dexie*', 'express', 'node:*', 'fs', 'path', 'three'];

/** Folder `name` of core: no import of a later folder, and none past another folder's index. */
const coreFolder = (name, index) => ({
  files: [`core/src/${name}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: NOT_IN_CORE, message: 'core knows no browser, no server and no file system.' },
          {
            regex: `^(\\.\\./)+(${ORDER.slice(index + 1).join('|') || 'web'})(/|$)`,
            message: `core/${name} may import only the folders before it in the order of the craft.`,
          },
          {
            regex: `^\\.\\./(${ORDER.slice(0, index).join('|') || 'web'})/.`,
            message: 'Import another folder of core through its index.ts.',
          },
        ],
      },
    ],
    'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'performance', 'process', 'Date'],
    'no-restricted-properties': [
      'error',
      { object: 'Math', property: 'random', message: 'Chance comes in as a seed.' },
    ],
  },
});

const only = (files, group, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group, message }] }] },
});

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'coverage/**', '.reports/**', 'test-results/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  { files: ['cli/**', 'server/**', 'bench/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  ...ORDER.map(coreFolder),
  only(['cli/**/*.ts', 'server/**/*.ts'], ['react', '@kalotrope/web*', '../../web/*'], 'Only core is shared.'),
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
  },
  only(
    ['web/src/stages/**', 'web/src/drawing/**', 'web/src/app/**'],
    ['dexie', 'dexie-react-hooks', 'comlink'],
    'Storage sits behind web/src/storage, workers behind web/src/engine.',
  ),
);
