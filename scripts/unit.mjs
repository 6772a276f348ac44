/**
 * Runs the unit tests with Node's own runner: all of them, or those whose paths are given. They are bundled first, which
 * takes a second and spares each of them from reading hundreds of files. Finding none is a failure.
 */
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { dirname, join, relative, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundleThread } from '../build/threads.mjs';
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

/**
 * The tests of calculations, folder by folder in one process each: what they share is read once. Those of a folder that keep
 * something (a database, a clock that is held) have a process of their own each.
 */
function inProcesses() {
  const KEEPS = /fake-indexeddb|store\/|mock\.|^(?:before|after)(?:Each)?\(/m;
  const groups = new Map();
  for (const file of files) {
    const name = KEEPS.test(readFileSync(file, 'utf8')) ? file : join(dirname(file), 'calculations.test.ts');
    groups.set(name, [...(groups.get(name) ?? []), file]);
  }
  return groups;
}

/** A group's entry: a module that is its tests, one after the other. */
const grouped = (groups) => ({
  name: 'grouped',
  setup: ({ onResolve, onLoad }) => {
    const path = (name) => resolve(name);
    const names = new Map([...groups].map(([name, own]) => [path(name), own.map(path)]));
    onResolve({ filter: /calculations\.test\.ts$/ }, (asked) =>
      names.has(resolve(asked.path)) ? { path: resolve(asked.path), namespace: 'group' } : undefined,
    );
    onLoad({ filter: /.*/, namespace: 'group' }, ({ path: name }) => ({
      resolveDir: dirname(name),
      contents: (names.get(name) ?? []).map((file) => `import ${JSON.stringify(file)};`).join('\n'),
    }));
  },
});

async function bundle(groups) {
  const { build } = await import('esbuild');
  rmSync(TO, { recursive: true, force: true });
  await build({
    entryPoints: Object.fromEntries([...groups.keys(), SUPPORT].map((file) => [entryOf(file), file])),
    outdir: TO,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    jsx: 'automatic',
    sourcemap: 'linked',
    logLevel: 'warning',
    plugins: [ownAddress, grouped(groups)],
    banner: {
      js: "import { createRequire as bundledRequire } from 'node:module'; const require = bundledRequire(import.meta.url);",
    },
  });
}

const entryOf = (file) => relative(FROM, file).replace(/\.ts$/, '');
const bundled = (file) => join(TO, `${entryOf(file)}.mjs`);

const groups = inProcesses();
compileWordLists();
await Promise.all([bundle(groups), bundleThread('markThread.mjs', '.cache')]);
run('Unit tests', process.execPath, [
  '--enable-source-maps',
  '--import',
  pathToFileURL(bundled(SUPPORT)).href,
  '--test',
  '--test-concurrency=2',
  ...[...groups.keys()].map(bundled),
]);
