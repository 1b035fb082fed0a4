/**
 * Lint rules. The part that matters most here is the direction of imports: it holds the architecture, since a folder
 * alone leaks. A folder of core may import those before it, a folder of web those before it, each through its index.ts
 * in core; the stages stand in the order in which core/src/project/chain.ts lists them, and only there.
 */
import { readFileSync } from 'node:fs';
import js from '@eslint/js';
import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The stages' folders, read off the chain's own list. */
function stagesInOrder() {
  const chain = readFileSync(new URL('./core/src/project/chain.ts', import.meta.url), 'utf8');
  const listed = /export const STAGES = \[([^\]]*)\]/.exec(chain)?.[1].match(/\w+/g) ?? [];
  const folderOf = (name) =>
    chain
      .split(';')
      .find((line) => new RegExp(`import .*\\b${name}\\b`, 's').test(line))
      ?.match(/'\.\.\/([a-z-]+)'/)?.[1];
  return listed.map(folderOf);
}

const STAGES = stagesInOrder();
if (STAGES.length === 0 || STAGES.includes(undefined)) throw new Error('The list in chain.ts could not be read');
const CORE = [
  'words',
  'measure',
  'geometry',
  'findings',
  'surface',
  'formats',
  'stage',
  'bend',
  ...STAGES,
  'project',
  'exchange',
];
const WEB = ['engine', 'storage', 'devices', 'state', 'files', 'controls', 'drawing', 'stages', 'app'];

const NOT_IN_CORE = ['react', 'react-*', '@mui/*', 'dexie*', 'express', 'node:*', 'fs', 'path', 'three'];
const TESTS = ['**/*.test.ts', '**/*.test.tsx', '**/fixtures/**'];

/** Folder `name` of core: no import of a later folder, and none past another folder's index. */
const coreFolder = (name, index) => ({
  files: [`core/src/${name}/**/*.ts`],
  ignores: TESTS,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: NOT_IN_CORE, message: 'core knows no browser, no server and no file system.' },
          {
            regex: `^(\\.\\./)+(${CORE.slice(index + 1).join('|') || 'web'})(/|$)`,
            message: `core/${name} may import only the folders before it: ${CORE.slice(0, index).join(', ')}.`,
          },
          {
            regex: `^(\\.\\./)+(${CORE.slice(0, index).join('|') || 'web'})/(?!writers$).`,
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

/** Folder `name` of web: no import of a later one; stages do not import each other. */
const webFolder = (name, index) => ({
  files: [`web/src/${name}/**/*.{ts,tsx}`],
  ignores: TESTS,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...(name === 'storage'
            ? []
            : [{ group: ['dexie', 'dexie-react-hooks'], message: 'Storage is in storage/.' }]),
          ...(name === 'engine' ? [] : [{ group: ['comlink'], message: 'Workers are behind engine/.' }]),
          {
            regex: `^(\\.\\./)+(${WEB.slice(index + 1).join('|') || 'core'})(/|$)`,
            message: `web/${name} may import only the folders before it: ${WEB.slice(0, index).join(', ')}.`,
          },
          ...(name === 'stages'
            ? [{ regex: `^\\.\\./(${STAGES.join('|')})(/|$)`, message: 'Stages do not import each other.' }]
            : []),
        ],
      },
    ],
  },
});

const STAGE_LITERAL = {
  selector: `:not(TSLiteralType) > Literal[value=/^(${STAGES.join('|')})$/]`,
  message: 'Only a stage’s own folders name it; elsewhere it comes from the list.',
};
const INLINE_MEMORY = {
  selector: "CallExpression[callee.name='remember'] > :matches(ArrowFunctionExpression, FunctionExpression)",
  message: 'What is remembered is a function of its arguments alone: name it at the top of the file.',
};

/** Words that are a stage's name and mean something else in a folder: frames are of timber, a hull is seen in plan. */
const OTHER_MEANING = { frames: ['timber'], lines: ['plan'], weights: ['timber'] };

const othersOf = (name) => STAGES.filter((other) => other !== name && !OTHER_MEANING[name]?.includes(other));

/** Outside its two folders a stage's name is no literal. Tests and the frozen steps of old versions may say it. */
const stageNames = [
  {
    files: ['core/src/**/*.ts', 'web/src/**/*.{ts,tsx}', 'cli/src/**/*.ts'],
    ignores: [...TESTS, 'core/src/project/migrations/**'],
    rules: { 'no-restricted-syntax': ['error', STAGE_LITERAL, INLINE_MEMORY] },
  },
  ...STAGES.map((name) => ({
    files: [`core/src/${name}/**/*.ts`, `web/src/stages/${name}/**/*.{ts,tsx}`],
    ignores: TESTS,
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          ...STAGE_LITERAL,
          selector: `:not(TSLiteralType) > Literal[value=/^(${othersOf(name).join('|')})$/]`,
        },
        INLINE_MEMORY,
      ],
    },
  })),
];

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
      'no-duplicate-imports': ['error', { allowSeparateTypeImports: true }],
    },
  },
  {
    // rules that ask the type checker
    files: ['core/src/**/*.ts', 'web/src/**/*.{ts,tsx}', 'cli/src/**/*.ts', 'server/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts', 'core/src/**/fixtures/**'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  { files: ['cli/**', 'server/**', 'bench/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  ...CORE.map(coreFolder),
  ...WEB.map(webFolder),
  ...stageNames,
  only(['cli/**/*.ts', 'server/**/*.ts'], ['react', '@kalotrope/web*', '../../web/*'], 'Only core is shared.'),
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
  },
);
