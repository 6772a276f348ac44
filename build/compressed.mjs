import { readdirSync, readFileSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const TEXT = /\.(?:html|js|css|svg|json|txt|xml|webmanifest)$/;
/** Smaller files gain nothing. */
const LEAST = 1000;
/** The highest level for what a first visit waits for; two below it, a tenth of the time for some 8 % more bytes, for the rest. */
const LEVELS = { first: 11, rest: 9 };
/** The pages where a visit begins. */
const BEGINNINGS = ['index.html', 'sit/index.html'];

const brotli = promisify(brotliCompress);
const gzipped = promisify(gzip);

/** What the pages where a visit begins name in their head. */
function waitedFor(folder) {
  const named = BEGINNINGS.flatMap((page) =>
    [...readFileSync(join(folder, page), 'utf8').matchAll(/"\/(_astro\/[^"]+)"/g)].map(([, path]) =>
      join(folder, path),
    ),
  );
  return new Set(named);
}

async function compress(file, level) {
  const bytes = await readFile(file);
  if (bytes.length < LEAST) return;
  const params = {
    [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
    [constants.BROTLI_PARAM_QUALITY]: level,
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
        const folder = fileURLToPath(dir);
        const first = waitedFor(folder);
        const files = readdirSync(folder, { recursive: true, withFileTypes: true })
          .filter((entry) => entry.isFile() && TEXT.test(entry.name))
          .map((entry) => join(entry.parentPath ?? entry.path, entry.name));
        await Promise.all(files.map((file) => compress(file, first.has(file) ? LEVELS.first : LEVELS.rest)));
      },
    },
  };
}
