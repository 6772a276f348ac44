/** `npm test`: sets up what is missing and runs every check. */
import { bin, build, chromium, freePort, installPackages, run } from './setup.mjs';

installPackages();
const browser = chromium();
run('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
run('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
run('Unused code', bin('knip'), []);
run('Types of the core', bin('tsc'), ['-p', 'src/core/tsconfig.json']);
run('Types', bin('astro'), ['check', '--minimumSeverity', 'warning']);
run('Unit tests', process.execPath, ['scripts/unit.mjs']);
build('dist-test');
run('End-to-end tests', bin('playwright'), ['test'], {
  CHROMIUM: browser,
  DIST: 'dist-test',
  PORT: String(await freePort()),
});
