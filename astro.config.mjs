import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

/**
 * Writes down which source modules each built browser file holds, so that a test can prove
 * that the student's page carries neither keys nor marking.
 */
function moduleList() {
  let target;
  return {
    name: 'yentrel-module-list',
    apply: 'build',
    configResolved(config) {
      target = config.root;
    },
    generateBundle(_options, bundle) {
      if (this.environment?.name !== 'client') return;
      const chunks = {};
      for (const [file, chunk] of Object.entries(bundle)) {
        if (chunk.type !== 'chunk') continue;
        const modules = Object.keys(chunk.modules).map((id) => id.replace(`${target}/`, ''));
        chunks[file] = { modules, imports: [...chunk.imports, ...chunk.dynamicImports] };
      }
      mkdirSync('.cache', { recursive: true });
      writeFileSync('.cache/chunk-modules.json', JSON.stringify(chunks, null, 1));
    },
  };
}

const TEXT = /\.(?:html|js|css|svg|json|txt|xml|webmanifest)$/;
/** Smaller files gain nothing. */
const LEAST = 1000;

/** Compresses what the browser loads once, at build: the server then hands out the smaller form. */
function compressed() {
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

export default defineConfig({
  output: 'static',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), compressed()],
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwindcss(), moduleList()],
    resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
    worker: { format: 'es' },
    build: { assetsInlineLimit: 0, target: 'es2022' },
  },
});
