/** Runs the scripts of `package.json` that no other test runs, with small numbers: each has to end well. */
import { mkdtempSync, rmSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, run } from './setup.mjs';

const small = { STUDENTS: '200' };
const npm = (name, env = {}) => run(`npm run ${name}`, 'npm', ['run', '--silent', name], env);

/** Starts a server by a script, asks it who it is, and ends it. */
async function answers(name, env = {}) {
  const port = String(await freePort());
  const server = spawn('npm', ['run', '--silent', name], {
    env: { ...process.env, ...env, PORT: port },
    detached: true,
    stdio: 'ignore',
  });
  try {
    for (let left = 120; ; left--) {
      const response = await fetch(`http://localhost:${port}/api/about`).catch(() => null);
      if (response?.ok) break;
      if (left === 0) throw new Error(`npm run ${name} answers nothing`);
      await new Promise((resolve) => setTimeout(resolve, 1000));
    }
    console.log(`✓ npm run ${name} answers`);
  } finally {
    process.kill(-server.pid);
  }
}

const folder = mkdtempSync(join(tmpdir(), 'yentrel-'));
npm('build');
await answers('start');
await answers('demo');
await answers('dev');
npm('bench', small);
npm('bench:api', small);
npm('bench:door', { STUDENTS: '60', SECONDS: '5', KILLS: '2', DIST: 'dist' });
npm('test:postgres');
npm('bench:border', small);
npm('bench:ui', small);
npm('screenshots', { SCREENSHOTS: folder });
npm('test:near');
rmSync(folder, { recursive: true });
