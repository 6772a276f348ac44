/**
 * `npm run test:near`: what a change is tried with while it is made, in less than half a minute: types, lint and format of
 * what was changed, and the unit tests of the folders that it touches. `npm run test:near -- REV` counts from a revision.
 */
import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { bin, installPackages, run, runTogether } from './setup.mjs';
import { PROMISES, TYPES } from './checks.mjs';

installPackages();
const git = (...args) => execFileSync('git', args, { encoding: 'utf8' }).split('\n').filter(Boolean);
const changed = [
  ...git('diff', '--name-only', process.argv[2] ?? 'HEAD'),
  ...git('ls-files', '--others', '--exclude-standard'),
].filter((file) => existsSync(file));

/** The folder of unit tests that tries what is in a file; null for what has none. */
function testsOf(file) {
  const folder = /^src\/core\/([^/]+)\//.exec(file)?.[1] ?? /^src\/([^/]+)\//.exec(file)?.[1];
  const own = /^tests\/unit\/([^/]+)\//.exec(file)?.[1];
  const name = own ?? folder;
  return name && existsSync(join('tests', 'unit', name)) ? join('tests', 'unit', name) : null;
}

const folders = [...new Set(changed.flatMap((file) => testsOf(file) ?? []))];
const tests = folders.flatMap((folder) =>
  readdirSync(folder, { recursive: true })
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(folder, name)),
);
const code = changed.filter((file) => /\.(ts|tsx|mjs|js)$/.test(file));
const formatted = changed.filter((file) => /\.(ts|tsx|mjs|js|json|css)$/.test(file));

console.log(`${changed.length} changed files, ${tests.length} files of unit tests beside them.`);
await runTogether([
  TYPES.filter(([title]) => title !== 'Types of the pages'),
  [
    ...(code.length > 0
      ? [['Lint', bin('eslint'), ['--no-warn-ignored', '--max-warnings', '0', ...code]]]
      : []),
    ...(code.some((file) => file.startsWith('src/')) ? [PROMISES] : []),
    ...(formatted.length > 0
      ? [['Format', bin('prettier'), ['--check', '--log-level', 'warn', '--ignore-unknown', ...formatted]]]
      : []),
  ],
]);
if (tests.length > 0) run('Unit tests near by', process.execPath, ['scripts/unit.mjs', ...tests]);
