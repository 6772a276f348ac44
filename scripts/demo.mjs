/** `npm run demo`: installs and builds what is missing, then serves Yentrel with its demo data. */
import { spawn } from 'node:child_process';
import { build, installPackages } from './setup.mjs';

const port = Number(process.env.PORT ?? 4321);
const host = process.env.HOST ?? '127.0.0.1';

/** True where a Yentrel answers on the port already. */
async function answersAlready() {
  try {
    const response = await fetch(`http://${host}:${port}/api/about`, { signal: AbortSignal.timeout(1000) });
    return (await response.json()).name === 'yentrel';
  } catch {
    return false;
  }
}

if (await answersAlready()) {
  console.log(`Yentrel runs already at http://${host}:${port}/`);
  process.exit(0);
}
installPackages();
// The demo school is marked by the English list; the server makes the others while it runs.
build('dist', { LISTS_IN_BUILD: 'en-1' });
if (host === '127.0.0.1')
  console.log(
    'For students’ own devices in a classroom: HOST=0.0.0.0 npm run demo, then open a door in the Tray (docs/door.md).',
  );
const server = spawn(process.execPath, ['server.mjs'], { stdio: 'inherit' });
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
