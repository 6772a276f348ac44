import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Modules that a module asks for as soon as it is there: static imports, not `import(…)`. */
const IMPORT = /(?:\bfrom|\bimport)\s*["'](\.[^"']+\.js)["']/g;
const WORKER = /new Worker\(new URL\(["']([^"']+\.js)["']/g;
const ISLAND = /(?:component-url|renderer-url)="([^"]+\.js)"/g;
const LATER = /import\(["'](\.[^"']+\.js)["']\)/g;
/** What a worker asks for later is fetched ahead where it is small: bytes. */
const SMALL = 12_000;
/** Islands that show nothing before their worker has answered. */
const WORKER_FIRST = /\/(StudentPage|TrialPage)\./;

const found = (text, pattern) => [...text.matchAll(pattern)].map(([, path]) => path);

/** Everything that an island needs before it can show something, each file once, what is needed first in front. */
function needs(folder, islands) {
  const all = new Set();
  const workers = new Set();
  const waiting = [...islands];
  while (waiting.length > 0) {
    const path = waiting.shift();
    const file = join(folder, path);
    if (all.has(path) || !existsSync(file)) continue;
    all.add(path);
    const text = readFileSync(file, 'utf8');
    for (const other of found(text, IMPORT)) waiting.push(posix.join(dirname(path), other));
    for (const worker of found(text, WORKER)) workers.add(worker);
  }
  if (!islands.some((path) => WORKER_FIRST.test(path))) return { scripts: [...all], workers: [] };
  for (const worker of [...workers])
    for (const other of found(readFileSync(join(folder, worker), 'utf8'), LATER)) {
      const path = posix.join(dirname(worker), other);
      if (statSync(join(folder, path)).size < SMALL) workers.add(path);
    }
  return { scripts: [...all], workers: [...workers] };
}

/**
 * Says in the head of each page what its islands will ask for: the browser then fetches all of it at once instead of
 * finding one behind the other, which on a slow line costs a round trip each.
 */
export function preloads() {
  return {
    name: 'yentrel-preloads',
    hooks: {
      'astro:build:done': ({ dir }) => {
        const folder = fileURLToPath(dir);
        for (const name of readdirSync(folder, { recursive: true })) {
          if (!name.endsWith('.html')) continue;
          const file = join(folder, name);
          const page = readFileSync(file, 'utf8');
          const { scripts, workers } = needs(folder, found(page, ISLAND));
          const links = [
            ...scripts.map((path) => `<link rel="modulepreload" href="${path}">`),
            ...workers.map((path) => `<link rel="modulepreload" as="worker" href="${path}">`),
          ];
          writeFileSync(file, page.replace('</head>', `${links.join('')}</head>`));
        }
      },
    },
  };
}
