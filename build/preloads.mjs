import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Modules that a module asks for as soon as it is there: static imports, not `import(…)`. */
const IMPORT = /(?:\bfrom|\bimport)\s*["'](\.[^"']+\.js)["']/g;
const WORKER = /new Worker\(new URL\(["']([^"']+\.js)["']/g;
const ISLAND = /(?:component-url|renderer-url)="([^"]+\.js)"/g;
const LATER = /import\(["'](\.[^"']+\.js)["']\)/g;
/** What the first visit of a browser asks for: the made-up school, and what comes with it. */
const FIRST_VISIT = /\/(?:demoSchool|drawings|pictures)[-.]/;
/** Islands that ask for it, and of them those that show nothing before their worker has answered. */
const FIRST_PAGE = /\/(?:Shelf|StudentPage|TrialPage)\./;
const WORKER_FIRST = /\/(?:StudentPage|TrialPage)\./;
const TRIAL = /\/TrialPage\./;

const found = (text, pattern) => [...text.matchAll(pattern)].map(([, path]) => path);

/** A script and everything that it imports, each file once, what is needed first in front. */
function withImports(folder, paths) {
  const all = new Set();
  const waiting = [...paths];
  while (waiting.length > 0) {
    const path = waiting.shift();
    const file = join(folder, path);
    if (all.has(path) || !existsSync(file)) continue;
    all.add(path);
    for (const other of found(readFileSync(file, 'utf8'), IMPORT))
      waiting.push(posix.join(dirname(path), other));
  }
  return [...all];
}

/** What some scripts ask for later and the first visit at once. */
const later = (folder, paths, pattern) =>
  paths.flatMap((path) =>
    found(readFileSync(join(folder, path), 'utf8'), LATER)
      .map((other) => posix.join(dirname(path), other))
      .filter((other) => pattern.test(other)),
  );

/** Everything that a page's islands need before they can show something. */
function needs(folder, islands) {
  const scripts = withImports(folder, islands);
  if (!islands.some((path) => FIRST_PAGE.test(path))) return { scripts, workers: [] };
  if (!islands.some((path) => WORKER_FIRST.test(path)))
    return {
      scripts: withImports(folder, [...scripts, ...later(folder, scripts, FIRST_VISIT)]),
      workers: [],
    };
  const workers = scripts.flatMap((path) => found(readFileSync(join(folder, path), 'utf8'), WORKER));
  const wanted = islands.some((path) => TRIAL.test(path)) ? /\/trialDesk-/ : FIRST_VISIT;
  return { scripts, workers: withImports(folder, [...workers, ...later(folder, workers, wanted)]) };
}

/**
 * What a worker will ask for is fetched before it is there. A preload would be called unused: browsers do not see that a
 * worker takes what is in their cache.
 */
const fetchedAhead = (workers) =>
  workers.length === 0
    ? ''
    : `<script>for(const file of ${JSON.stringify(workers)})fetch(file).catch(()=>{})</script>`;

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
          const links = scripts.map((path) => `<link rel="modulepreload" href="${path}">`).join('');
          writeFileSync(file, page.replace('</head>', `${links}${fetchedAhead(workers)}</head>`));
        }
      },
    },
  };
}
