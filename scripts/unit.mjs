/**
 * Runs the unit tests with Node's own runner: all of them, or those whose paths are given. They are bundled first, which
 * takes a second and spares each of them from reading hundreds of files. Finding none is a failure.
 */
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { compileWordLists, run } from './setup.mjs';

const LEAST_FILES = 5;
const FROM = join('tests', 'unit');
const TO = join('.cache', 'unit');
/** What every test finds there: word lists, and a database. */
const SUPPORT = join(FROM, 'support', 'everywhere.ts');

const asked = process.argv.slice(2);
const files = asked.length > 0 ? asked : testsIn(FROM);
if (asked.length === 0 && files.length < LEAST_FILES) {
  console.error(`Only ${files.length} files of unit tests were found; at least ${LEAST_FILES} are expected.`);
  process.exit(1);
}
const missing = files.filter((file) => !existsSync(file));
if (missing.length > 0) {
  console.error(`There is no such test: ${missing.join(', ')}`);
  process.exit(1);
}

function testsIn(folder) {
  return readdirSync(folder, { recursive: true })
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(folder, name));
}

/** Where a bundle would look beside itself, the source's own place is meant. */
const ownAddress = {
  name: 'own-address',
  setup: ({ onLoad }) =>
    onLoad({ filter: /[/\\]demo[/\\]pictures\.ts$/ }, async ({ path }) => ({
      loader: 'ts',
      contents: (await readFile(path, 'utf8')).replaceAll(
        'import.meta.url',
        JSON.stringify(pathToFileURL(path).href),
      ),
    })),
};

async function bundle() {
  const { build } = await import('esbuild');
  rmSync(TO, { recursive: true, force: true });
  await build({
    entryPoints: [...files, SUPPORT],
    outdir: TO,
    outbase: FROM,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    jsx: 'automatic',
    sourcemap: 'linked',
    logLevel: 'warning',
    plugins: [ownAddress],
    banner: {
      js: "import { createRequire as bundledRequire } from 'node:module'; const require = bundledRequire(import.meta.url);",
    },
  });
}

const bundled = (file) => join(TO, file.slice(FROM.length)).replace(/\.ts$/, '.mjs');

compileWordLists();
await bundle();
run('Unit tests', process.execPath, [
  '--enable-source-maps',
  '--import',
  pathToFileURL(bundled(SUPPORT)).href,
  '--test',
  '--test-concurrency=2',
  ...files.map(bundled),
]);
