/** `npm run bench:ui`: serves a build of its own and measures the interface in Chromium. */
import { build, chromium, setUp, run, serve } from './setup.mjs';

setUp();
const browser = chromium();
build('dist-test');
const address = await serve('dist-test');
const env = { ADDRESS: address, CHROMIUM: browser };
const bench = (title, file) =>
  run(title, process.execPath, ['--import', 'tsx', file, ...process.argv.slice(2)], env);
bench('Pages on a slow phone', 'bench/pageLoad.ts');
bench('Keystroke to margin', 'bench/keystroke.ts');
bench('A paper of 200 questions', 'bench/bigPaper.ts');
bench('A class of 2 000', 'bench/bigClass.ts');
bench('Ten thousand students, forty questions', 'bench/hugeClass.ts');
process.exit(0);
