import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

/** What threads of the server run, by the name of the file: each with everything that it needs but packages that bring binaries. */
const THREADS = {
  'markThread.mjs': 'src/server/mark/thread.ts',
  'packetThread.mjs': 'src/server/door/packetThread.ts',
};

/** Bundles one of them into a folder. */
export async function bundleThread(name, folder) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [THREADS[name]],
    outfile: join(folder, name),
    bundle: true,
    external: ['libsql', 'pg'],
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: 'linked',
    logLevel: 'warning',
    banner: {
      js: "import { createRequire as bundledRequire } from 'node:module'; const require = bundledRequire(import.meta.url);",
    },
  });
}

/** Puts all of them beside the server. */
export function threads() {
  let server;
  return {
    name: 'yentrel-threads',
    hooks: {
      'astro:config:done': ({ config }) => {
        server = fileURLToPath(config.build.server);
      },
      'astro:build:done': () => Promise.all(Object.keys(THREADS).map((name) => bundleThread(name, server))),
    },
  };
}
