import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const oneClock = [
  { object: 'Date', property: 'now', message: 'The clock is one service: store/records/clock.ts.' },
  { object: 'Math', property: 'random', message: 'Chance comes from store/records/ids.ts.' },
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
    ignores: ['src/store/records/clock.ts', 'src/store/records/ids.ts'],
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
);
