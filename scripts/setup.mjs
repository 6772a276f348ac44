/** What the two commands need before anything else: packages as locked, a build that fits the sources, Chromium. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
process.chdir(root);
process.env.ASTRO_TELEMETRY_DISABLED = '1';

/** Runs a command with its output shown; ends the process with its exit code where it fails. */
export function run(title, command, args, env = {}) {
  const started = Date.now();
  console.log(`\n▸ ${title}`);
  const result = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  if (result.error) {
    console.error(`${command} could not be started: ${result.error.message}`);
    process.exit(1);
  }
  if (result.status !== 0) {
    console.error(`✗ ${title} failed.`);
    process.exit(result.status ?? 1);
  }
  console.log(`✓ ${title} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
}

/** Runs a command with its output kept until it ends; gives whether it went well. */
const kept = ([title, command, args]) =>
  new Promise((resolve) => {
    const started = Date.now();
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => (output += error.message));
    child.on('close', (code) => {
      const took = ((Date.now() - started) / 1000).toFixed(1);
      console.log(`\n▸ ${title}\n${output.trim()}\n${code === 0 ? '✓' : '✗'} ${title} (${took} s)`);
      resolve(code === 0);
    });
  });

/**
 * Runs rows of commands beside each other; whoever is done with its row takes from what is left. Ends the process where one
 * of them fails.
 */
export async function runTogether(rows, left = []) {
  const queue = [...left];
  const ends = await Promise.all(
    rows.map(async (row) => {
      for (const step of row) if (!(await kept(step))) return false;
      for (let step = queue.shift(); step; step = queue.shift()) if (!(await kept(step))) return false;
      return true;
    }),
  );
  if (!ends.every(Boolean)) process.exit(1);
}

/** The command of an installed package. */
export const bin = (name) => join(root, 'node_modules', '.bin', name);

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  console.error(`Yentrel needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  process.exit(1);
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

const isCurrent = (stamp, value) => existsSync(stamp) && readFileSync(stamp, 'utf8') === value;

/** Installs the locked packages, where that has not been done for this lock file. */
export function installPackages() {
  checkNode();
  const stamp = join('node_modules', '.yentrel-installed');
  const lock = hashOf(['package-lock.json']);
  if (isCurrent(stamp, lock)) return;
  run('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, lock);
}

const namesIn = (folder) => (existsSync(folder) ? readdirSync(folder).sort() : []);

const LISTS_STAMP = join('.cache', 'words');

/** Changes when the lists that are there may not be those that this recipe makes of these dictionaries. */
const listsState = () => {
  const recipe = namesIn('scripts/words').map((name) => join('scripts/words', name));
  return `${hashOf(['package-lock.json', ...recipe])} ${namesIn('public/words').join(' ')}`;
};

/** Makes the word lists out of the dictionaries, where those that are there were not made so. */
export function compileWordLists() {
  if (isCurrent(LISTS_STAMP, listsState())) return;
  run('Making the word lists', process.execPath, ['--import', 'tsx', 'scripts/words/compile.ts']);
  mkdirSync('.cache', { recursive: true });
  writeFileSync(LISTS_STAMP, listsState());
}

/** Everything that a command needs besides a build. */
export function setUp() {
  installPackages();
  compileWordLists();
}

function sources() {
  const folders = ['src', 'demo', 'public', 'build'];
  const files = folders
    .flatMap((folder) =>
      readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter((entry) => entry.isFile())
        .map((entry) => join(entry.parentPath ?? entry.path, entry.name)),
    )
    // Word lists come beside a build, whenever they are made.
    .filter((file) => !file.startsWith(join('public', 'words')));
  return ['astro.config.mjs', 'package-lock.json', 'tsconfig.json', ...files.sort()];
}

/** Young objects of a build live longer than Node expects: with more room it collects garbage half as often. */
const BUILD_OPTIONS = ['--max-semi-space-size=128'];

/** Builds into a folder, unless the build there was made from the same sources. */
export function build(folder, env = {}) {
  const stamp = join('.cache', `${folder}.built`);
  const hash = hashOf(sources());
  if (isCurrent(stamp, hash) && existsSync(join(folder, 'server', 'entry.mjs'))) return;
  mkdirSync('.cache', { recursive: true });
  const astro = join('node_modules', 'astro', 'astro.js');
  run('Building', process.execPath, [...BUILD_OPTIONS, astro, 'build', '--outDir', folder, '--silent'], env);
  writeFileSync(stamp, hash);
}

/** Debian's Chromium without windows, which starts in two thirds of the time; the whole one serves as well. */
const CHROMIUMS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Finds Debian's Chromium, or installs it; ends with a clear message where neither is possible. */
export function chromium() {
  if (process.env.CHROMIUM) return process.env.CHROMIUM;
  const found = () => CHROMIUMS.find((path) => existsSync(path));
  if (found()) return found();
  console.log('\n▸ Installing Chromium');
  const install =
    'apt-get update -qq && apt-get install -y -qq --no-install-recommends chromium-headless-shell';
  const asRoot = process.getuid?.() === 0 ? install : `sudo -n sh -c '${install}'`;
  spawnSync('sh', ['-c', asRoot], { stdio: ['ignore', 'ignore', 'inherit'] });
  if (found()) return found();
  console.error(
    'The end-to-end tests need Chromium, and it could not be installed here.\n' +
      'Install it by hand (Debian: apt-get install chromium-headless-shell), or point to one: CHROMIUM=/path/to/chromium npm test',
  );
  process.exit(1);
}

/** Serves a build on a free port until this process ends; gives its address. */
export async function serve(folder) {
  const port = await freePort();
  const server = spawn(process.execPath, ['server.mjs'], {
    env: { ...process.env, PORT: String(port), DIST: folder },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  process.on('exit', () => server.kill());
  await new Promise((resolve) => server.stdout.once('data', resolve));
  return `http://127.0.0.1:${port}`;
}

/** A free port on this machine. */
export async function freePort() {
  const { createServer } = await import('node:net');
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}
