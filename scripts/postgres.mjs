/**
 * A PostgreSQL of its own for tests and measurements, from Debian's packages: in a folder that is deleted, reached by a socket
 * and a port on this machine alone. Where it cannot be had, that is said, and nothing is started.
 */
import { spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { freePort } from './setup.mjs';

const HOME = '/usr/lib/postgresql';

function binaries() {
  const newest = existsSync(HOME) ? readdirSync(HOME).sort((a, b) => Number(b) - Number(a))[0] : undefined;
  return newest ? join(HOME, newest, 'bin') : null;
}

const quiet = (command, args, more = {}) => spawnSync(command, args, { encoding: 'utf8', ...more });

function install() {
  if (binaries() || userInfo().uid !== 0) return;
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  quiet('apt-get', ['update'], { env });
  quiet('apt-get', ['install', '-y', '--no-install-recommends', 'postgresql'], { env });
}

/** Starts one. Gives its address and what ends it; null where there is none to be had, with the reason printed. */
export async function startPostgres() {
  install();
  const bin = binaries();
  if (!bin) {
    console.log('PostgreSQL is left out: it is not installed, and could not be from Debian’s packages.');
    return null;
  }
  const folder = mkdtempSync(join(tmpdir(), 'yentrel-postgres-'));
  const isRoot = userInfo().uid === 0;
  // PostgreSQL refuses to run as root.
  const as = isRoot ? ['runuser', '-u', 'postgres', '--'] : [];
  if (isRoot) {
    const id = (of) => Number(quiet('id', [of, 'postgres']).stdout);
    chownSync(folder, id('-u'), id('-g'));
  }
  const run = (...command) => {
    const [first, ...rest] = [...as, ...command];
    return quiet(first, rest, { cwd: folder });
  };
  const data = join(folder, 'data');
  const port = await freePort();
  const made = run(join(bin, 'initdb'), '-D', data, '-U', 'yentrel', '-A', 'trust');
  const options = `-p ${port} -k ${folder} -c listen_addresses=127.0.0.1`;
  const log = join(folder, 'log');
  const started = run(join(bin, 'pg_ctl'), '-D', data, '-o', options, '-l', log, '-w', 'start');
  const end = () => {
    run(join(bin, 'pg_ctl'), '-D', data, '-m', 'immediate', 'stop');
    rmSync(folder, { recursive: true, force: true });
  };
  if (made.status !== 0 || started.status !== 0) {
    console.log(`PostgreSQL is left out: it does not start.\n${made.stderr}${started.stderr}`);
    end();
    return null;
  }
  return { url: `postgres://yentrel@127.0.0.1:${port}/postgres`, end };
}
