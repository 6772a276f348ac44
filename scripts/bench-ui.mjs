/** `npm run bench:ui`: serves a build of its own and measures the interface in Chromium. */
import { build, chromium, installPackages, run, serve } from './setup.mjs';

installPackages();
const browser = chromium();
build('dist-test');
const address = await serve('dist-test');
run(
  'Keystroke to margin',
  process.execPath,
  ['--import', 'tsx', 'bench/keystroke.ts', ...process.argv.slice(2)],
  {
    ADDRESS: address,
    CHROMIUM: browser,
  },
);
process.exit(0);
