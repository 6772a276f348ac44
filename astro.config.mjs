import { writeFileSync, mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
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

export default defineConfig({
  output: 'static',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwindcss(), moduleList()],
    resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
    worker: { format: 'es' },
    build: { assetsInlineLimit: 0, target: 'es2022' },
  },
});
