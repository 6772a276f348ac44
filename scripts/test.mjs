/**
 * `npm test`: sets up what is missing and runs every check. `npm run test:long` is the same with large numbers:
 * what is tried at random is tried ten times as often, pages are killed 100 times, each view is seen in both looks.
 */
import { bin, chromium, freePort, setUp, run, runTogether } from './setup.mjs';

if (process.argv.includes('--long')) process.env['TEST_LONG'] = 'yes';
setUp();
const browser = chromium();
await runTogether([
  [
    ['Types', bin('astro'), ['check', '--minimumSeverity', 'warning']],
    ['Build', process.execPath, ['scripts/build-tests.mjs']],
  ],
  [
    ['Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
    ['Lint', bin('eslint'), ['.', '--max-warnings', '0']],
    ['Structure', bin('depcruise'), ['src', '--output-type', 'err']],
    ['Unused code', bin('knip'), []],
    ['Types of the core', bin('tsc'), ['-p', 'src/core/tsconfig.json']],
  ],
]);
run('Unit tests', process.execPath, ['scripts/unit.mjs']);
run('End-to-end tests', bin('playwright'), ['test'], {
  CHROMIUM: browser,
  DIST: 'dist-test',
  PORT: String(await freePort()),
});
