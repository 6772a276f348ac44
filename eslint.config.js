import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Imports run one way: each folder may only reach to its left. */
const layers = ['core', 'store', 'workers', 'server', 'ui', 'kinds', 'desks', 'pages'];

const outside = (folders, from = '') =>
  folders.map((folder) => ({
    // The core has a folder “kinds” itself, reached by the same relative path.
    group: [
      `@/${folder}/**`,
      ...(from === 'core' && folder === 'kinds' ? [] : [`../${folder}/**`, `../../${folder}/**`]),
    ],
    message: `Imports run core ← store ← workers, server ← ui ← kinds ← desks ← pages: not to ${folder} from here.`,
  }));

const OUTSIDE_WORLD = ['react', 'react-dom', 'dexie*', 'astro*', 'comlink', 'node:*'];

const direction = layers.map((layer, index) => ({
  files: [`src/${layer}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...outside(layers.slice(index + 1), layer),
          ...(layer === 'core' ? [{ group: OUTSIDE_WORLD, message: 'The core is pure.' }] : []),
        ],
      },
    ],
  },
}));

/** A desk never imports another desk; the workspace alone joins them. */
const desks = ['shelf', 'roster', 'write', 'plan', 'tray', 'check', 'handback', 'print', 'sit'];
const studentsBorder = {
  group: ['@/store/**', '@/core/marking/**', '@/core/answers/**', '@/core/kinds/**'],
  allowTypeImports: true,
  message: 'The student’s page holds no store, keys or marking.',
};
const apart = desks.map((desk) => ({
  files: [`src/desks/${desk}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': 'off',
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          ...outside(['pages']),
          {
            group: [...desks.filter((other) => other !== desk), 'workspace'].flatMap((other) => [
              `@/desks/${other}/**`,
              `../${other}/**`,
            ]),
            message: 'A desk never imports another desk.',
          },
          ...(desk === 'sit' ? [studentsBorder] : []),
        ],
      },
    ],
  },
}));

const oneClock = [
  { object: 'Date', property: 'now', message: 'The clock is one service: store/clock.ts.' },
  { object: 'Math', property: 'random', message: 'Chance comes from store/ids.ts.' },
];

export default tseslint.config(
  { ignores: ['dist', 'dist-test', '.astro', 'node_modules', 'test-results', 'playwright-report'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_$' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-depth': ['error', 3],
      'no-eval': 'error',
      eqeqeq: 'error',
    },
  },
  {
    // A promise whose failure nobody hears of leaves a press busy for ever: each is awaited, handed on or caught.
    files: ['src/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: true } }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/store/clock.ts', 'src/store/ids.ts'],
    rules: { 'no-restricted-properties': ['error', ...oneClock] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXAttribute[name.name="dangerouslySetInnerHTML"]',
          message: 'Text is drawn by React, never set as HTML.',
        },
      ],
    },
  },
  ...direction,
  ...apart,
);
