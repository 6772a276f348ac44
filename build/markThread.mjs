import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

/** Bundles what a thread of the server runs to mark a request, with everything that it needs. */
export async function bundleMarkThread(outfile) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: ['src/server/mark/thread.ts'],
    outfile,
    bundle: true,
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

/** Puts it beside the server. */
export function markThread() {
  let server;
  return {
    name: 'yentrel-mark-thread',
    hooks: {
      'astro:config:done': ({ config }) => {
        server = fileURLToPath(config.build.server);
      },
      'astro:build:done': () => bundleMarkThread(join(server, 'markThread.mjs')),
    },
  };
}
