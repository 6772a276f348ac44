import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { build as bundle } from 'esbuild';
import { build } from 'vite';
import { viteSingleFile } from 'vite-plugin-singlefile';

/** Where the application finds it. */
const NAME = 'paper.json';
const SOURCE = fileURLToPath(new URL('../src/', import.meta.url));
/** What students are told in another language than English: a file carries that of its quiz alone. */
const TOLD = /told[/\\]([a-z]{2})\.ts$/;
/** Where the language that stands in a file says what it tells. */
const GIVEN = 'yentrelTold';

const hashOf = (text) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;
const inside = (page, tag) =>
  [...page.matchAll(new RegExp(`<${tag}(?![^>]*application/json)[^>]*>([\\s\\S]*?)</${tag}>`, 'g'))].map(
    ([, text]) => text,
  );

/** What the file may do: run its own script, and show what stands in it. It reaches nothing. */
function withPolicy(page) {
  const policy = [
    "default-src 'none'",
    `script-src ${inside(page, 'script').map(hashOf).join(' ')}`,
    `style-src ${inside(page, 'style').map(hashOf).join(' ')}`,
    'img-src blob: data:',
    'media-src blob: data:',
    "base-uri 'none'",
    "form-action 'none'",
  ].join('; ');
  return page.replace(
    '<meta charset',
    `<meta http-equiv="Content-Security-Policy" content="${policy}">\n<meta charset`,
  );
}

/** In the page's script each language is what the file holds of it. */
const toldApart = {
  name: 'yentrel-told-apart',
  transform(_, id) {
    const language = TOLD.exec(id)?.[1];
    if (!language || language === 'en') return null;
    return `export const ${language} = globalThis.${GIVEN}?.${language}`;
  },
};

/** The page of a paper's file, without a paper: one text with script and style in it. */
async function pageOf() {
  const result = await build({
    root: join(SOURCE, 'paper'),
    configFile: false,
    logLevel: 'warn',
    plugins: [toldApart, react(), tailwindcss(), viteSingleFile({ removeViteModuleLoader: true })],
    resolve: { alias: { '@': SOURCE } },
    build: { write: false, target: 'es2020', reportCompressedSize: false },
  });
  const page = result.output.find(({ fileName }) => fileName === 'index.html');
  return withPolicy(String(page.source));
}

/** What each other language tells, as a script that stands before that of the page. */
async function toldScripts() {
  const languages = readdirSync(join(SOURCE, 'ui/told')).flatMap(
    (file) => TOLD.exec(`told/${file}`)?.[1] ?? [],
  );
  const scripts = await Promise.all(
    languages
      .filter((language) => language !== 'en')
      .map(async (language) => {
        const { outputFiles } = await bundle({
          entryPoints: [join(SOURCE, `ui/told/${language}.ts`)],
          bundle: true,
          write: false,
          minify: true,
          format: 'iife',
          globalName: GIVEN,
          // Umlauts and accents stay one sign each.
          charset: 'utf8',
          target: 'es2020',
        });
        const script = outputFiles[0].text.trim();
        return [language, { script, hash: hashOf(script) }];
      }),
  );
  return Object.fromEntries(scripts);
}

/** What papers' files are made of: the page, and the script of each language with its hash for the page's policy. */
export const paperParts = async () => ({ page: await pageOf(), told: await toldScripts() });

/** Puts it beside the pages; while the pages are worked at, it is made when it is asked for. */
export function paperFile() {
  return {
    name: 'yentrel-paper-file',
    hooks: {
      'astro:build:done': async ({ dir }) => {
        const folder = fileURLToPath(dir);
        mkdirSync(folder, { recursive: true });
        writeFileSync(join(folder, NAME), JSON.stringify(await paperParts()));
      },
      'astro:server:setup': ({ server }) => {
        server.middlewares.use(`/${NAME}`, (_, response, next) => {
          paperParts().then(
            (parts) => response.setHeader('content-type', 'application/json').end(JSON.stringify(parts)),
            next,
          );
        });
      },
    },
  };
}
