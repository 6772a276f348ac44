import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

const TEXT = /\.(?:html|js|css|svg|json|txt|xml|webmanifest)$/;
/** Smaller files gain nothing. */
const LEAST = 1000;

/** Compresses what the browser loads once, at build: the server then hands out the smaller form. */
export function compressed() {
  return {
    name: 'yentrel-compressed',
    hooks: {
      'astro:build:done': ({ dir }) => {
        const folder = fileURLToPath(dir);
        for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
          const file = join(entry.parentPath ?? entry.path, entry.name);
          if (!entry.isFile() || !TEXT.test(entry.name)) continue;
          const bytes = readFileSync(file);
          if (bytes.length < LEAST) continue;
          const size = { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length };
          writeFileSync(`${file}.br`, brotliCompressSync(bytes, { params: size }));
          writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
        }
      },
    },
  };
}
