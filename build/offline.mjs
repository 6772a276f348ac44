import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

/** What a page can ask for. Lists of words are kept when they are first asked for, as most are never needed. */
const KEPT = /\.(?:html|js|css|svg|png|webp|woff2|json)$/;
const NOT_KEPT = /^(?:words\/|404)/;
/** Names with a hash of their bytes. */
const HASHED = /^_astro\//;

/** The address of a file: that of a page without its file's name. */
const addressOf = (path) => `/${path.replace(/(?:^|(?<=\/))index\.html$/, '')}`;

function filesIn(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) =>
      relative(folder, join(entry.parentPath ?? entry.path, entry.name))
        .split(sep)
        .join('/'),
    )
    .filter((path) => KEPT.test(path) && !NOT_KEPT.test(path))
    .sort()
    .map((path) => ({
      url: addressOf(path),
      revision: HASHED.test(path)
        ? null
        : createHash('sha256')
            .update(readFileSync(join(folder, path)))
            .digest('hex')
            .slice(0, 16),
    }));
}

/** Writes the script that keeps the application on the device, with the list of its files, beside the pages. */
export function offline() {
  return {
    name: 'yentrel-offline',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const folder = fileURLToPath(dir);
        await build({
          entryPoints: ['src/offline/serviceWorker.ts'],
          outfile: join(folder, 'serviceworker.js'),
          bundle: true,
          format: 'iife',
          minify: true,
          target: 'es2022',
          logLevel: 'warning',
          define: { FILES: JSON.stringify(filesIn(folder)), 'process.env.NODE_ENV': '"production"' },
        });
      },
    },
  };
}
