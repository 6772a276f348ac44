/** `npm run dev`: installs what is missing, then serves Yentrel with hot reload, for those who change it. */
import { spawn } from 'node:child_process';
import { bundleThread } from '../build/threads.mjs';
import { bin, setUp } from './setup.mjs';

setUp();
await bundleThread('markThread.mjs', '.cache');
// Not where the built application is served: a browser may keep that one, and would go on showing it.
const port = process.env.PORT ?? '4322';
const server = spawn(bin('astro'), ['dev', '--port', port], { stdio: 'inherit' });
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
