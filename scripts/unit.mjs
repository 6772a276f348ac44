/** Runs the unit tests with Node's own runner. Finding none is a failure. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { compileWordLists, run } from './setup.mjs';

const LEAST_FILES = 5;
const files = readdirSync('tests/unit', { recursive: true })
  .filter((name) => name.endsWith('.test.ts'))
  .map((name) => join('tests', 'unit', name));
if (files.length < LEAST_FILES) {
  console.error(`Only ${files.length} files of unit tests were found; at least ${LEAST_FILES} are expected.`);
  process.exit(1);
}
compileWordLists();
const imports = ['--import', 'tsx', '--import', './tests/unit/support/wordLists.ts'];
run('Unit tests', process.execPath, [...imports, '--test', '--test-concurrency=2', ...files]);
