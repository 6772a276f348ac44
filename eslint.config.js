import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const oneClock = [
  { object: 'Date', property: 'now', message: 'The clock is one service: device/clock.ts.' },
  { object: 'Math', property: 'random', message: 'Chance comes from device/ids.ts.' },
];

const NO_HTML = {
  selector: 'JSXAttribute[name.name="dangerouslySetInnerHTML"]',
  message: 'Text is drawn by React, never set as HTML.',
};

/** Whoever compares a kind by its name would have to be found again for the next kind. */
const NAMED_KIND =
  '[operator=/^[!=]==$/][left.property.name="kind"][right.value=/^(pickOne|pickSeveral|trueFalse|phrase|number|gaps|match|order|boxes|rows|spot|written|note)$/]';

/** Ids come from outside, and every object has properties that nobody put there: `constructor` is one. */
const BY_ID =
  'MemberExpression[computed=true]:matches([property.name=/[iI]d$/], [property.property.name=/[iI]d$/])';
const LOOKED_UP = [`:not(AssignmentExpression) > ${BY_ID}`, `AssignmentExpression > ${BY_ID}.right`].map(
  (selector) => ({ selector, message: 'Look up by an id with valueAt (core/figures), or in a Map.' }),
);

export default tseslint.config(
  { ignores: ['.cache', 'dist', 'dist-test', '.astro', 'node_modules', 'test-results', 'playwright-report'] },
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
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/device/clock.ts', 'src/device/ids.ts'],
    rules: { 'no-restricted-properties': ['error', ...oneClock] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'no-restricted-syntax': ['error', NO_HTML, ...LOOKED_UP],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/core/kinds/**', 'src/kinds/**', 'src/core/forms/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        NO_HTML,
        ...LOOKED_UP,
        { selector: `BinaryExpression${NAMED_KIND}`, message: 'Ask the kind: see src/core/kinds/kind.ts.' },
      ],
    },
  },
);
