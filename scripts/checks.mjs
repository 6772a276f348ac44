/** What is checked without running anything: each a title, a command and its arguments. */
import { bin } from './setup.mjs';

/** The compiler of two packages has the same name: this is the fast one; the other one serves the pages. */
const TSC = 'node_modules/typescript-native/bin/tsc';

/** Pages first: that writes down the types that the others ask for. */
export const TYPES = [
  [
    'Types of the pages',
    bin('astro'),
    ['check', '--tsconfig', 'tsconfig.pages.json', '--minimumSeverity', 'warning'],
  ],
  ['Types', process.execPath, [TSC, '--noEmit', '-p', '.']],
  ['Types of the core', process.execPath, [TSC, '-p', 'src/core/tsconfig.json']],
];

export const PROMISES = ['Promises', bin('oxlint'), ['--type-aware', 'src']];

export const CHECKS = [
  PROMISES,
  ['Lint', bin('eslint'), ['.', '--max-warnings', '0']],
  ['Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['Structure', bin('depcruise'), ['src', '--output-type', 'err']],
  ['Unused code', bin('knip'), []],
];
