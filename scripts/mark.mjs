/** `npm run mark`: sets up what is missing, then marks. */
import { spawnSync } from 'node:child_process';
import { setUp } from './setup.mjs';

setUp();
const run = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/mark.ts', ...process.argv.slice(2)], {
  stdio: 'inherit',
});
process.exit(run.status ?? 1);
