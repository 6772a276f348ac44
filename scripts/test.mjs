/**
 * `npm test`: sets up what is missing and runs every check. `npm run test:long` is the same with large numbers: what is
 * tried at random is tried ten times as often, whole tasks are done, pages are killed 100 times, each view is seen in both looks.
 */
import { bin, chromium, freePort, installPackages, run, runTogether } from './setup.mjs';
import { CHECKS, TYPES } from './checks.mjs';

if (process.argv.includes('--long')) process.env['TEST_LONG'] = 'yes';
installPackages();
const browser = chromium();
await runTogether(
  [
    [
      ['Word lists', process.execPath, ['scripts/word-lists.mjs']],
      ['Build', process.execPath, ['scripts/build-tests.mjs']],
    ],
    TYPES,
  ],
  CHECKS,
);
run('Unit tests', process.execPath, ['scripts/unit.mjs']);
run('End-to-end tests', bin('playwright'), ['test'], {
  CHROMIUM: browser,
  DIST: 'dist-test',
  PORT: String(await freePort()),
});
if (process.env['TEST_LONG']) run('Every script', process.execPath, ['scripts/every-script.mjs']);
