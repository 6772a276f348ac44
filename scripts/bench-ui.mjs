/** `npm run bench:ui`: serves a build of its own and measures the interface in Chromium. */
import { spawn } from 'node:child_process';
import { build, chromium, freePort, installPackages, run } from './setup.mjs';

installPackages();
const browser = chromium();
build('dist-test');
const port = await freePort();
const server = spawn(process.execPath, ['server.mjs'], {
  env: { ...process.env, PORT: String(port), DIST: 'dist-test' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
process.on('exit', () => server.kill());
await new Promise((resolve) => server.stdout.once('data', resolve));
run(
  'Keystroke to margin',
  process.execPath,
  ['--import', 'tsx', 'bench/keystroke.ts', ...process.argv.slice(2)],
  {
    ADDRESS: `http://127.0.0.1:${port}`,
    CHROMIUM: browser,
  },
);
process.exit(0);
