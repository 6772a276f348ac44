import { readdirSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const TEXT = /\.(?:html|js|css|svg|json|txt|xml|webmanifest)$/;
/** Smaller files gain nothing. */
const LEAST = 1000;
/** Two levels below the highest: a tenth of its time, for some 8 % more bytes. */
const BROTLI_LEVEL = 9;

const brotli = promisify(brotliCompress);
const gzipped = promisify(gzip);

async function compress(file) {
  const bytes = await readFile(file);
  if (bytes.length < LEAST) return;
  const params = {
    [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
    [constants.BROTLI_PARAM_QUALITY]: BROTLI_LEVEL,
  };
  await Promise.all([
    brotli(bytes, { params }).then((small) => writeFile(`${file}.br`, small)),
    gzipped(bytes, { level: 9 }).then((small) => writeFile(`${file}.gz`, small)),
  ]);
}

/** Compresses what the browser loads once, at build: the server then hands out the smaller form. */
export function compressed() {
  return {
    name: 'yentrel-compressed',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const files = readdirSync(fileURLToPath(dir), { recursive: true, withFileTypes: true })
          .filter((entry) => entry.isFile() && TEXT.test(entry.name))
          .map((entry) => join(entry.parentPath ?? entry.path, entry.name));
        await Promise.all(files.map(compress));
      },
    },
  };
}
