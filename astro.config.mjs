import { fileURLToPath } from 'node:url';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { compressed } from './build/compressed.mjs';
import { threads } from './build/threads.mjs';
import { moduleList } from './build/moduleList.mjs';
import { offline } from './build/offline.mjs';
import { paperFile } from './build/paperFile.mjs';
import { preloads } from './build/preloads.mjs';
import { wordLists } from './build/wordLists.mjs';

export default defineConfig({
  output: 'static',
  adapter: node({ mode: 'standalone' }),
  // What is written into the pages has to be there before they are compressed.
  integrations: [react(), wordLists(), threads(), paperFile(), preloads(), offline(), compressed()],
  security: { checkOrigin: false },
  devToolbar: { enabled: false },
  vite: {
    plugins: [tailwindcss(), moduleList()],
    resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
    worker: { format: 'es' },
    // Packages with a binary part, or that load parts of themselves, stay as they are.
    ssr: { external: ['libsql', 'pg', 'kysely', 'tinypool'] },
    build: {
      assetsInlineLimit: 0,
      target: 'es2022',
      // Small pieces cost a slow line more than what they spare it.
      rollupOptions: {
        output: {
          experimentalMinChunkSize: 12_000,
          // A language is fetched by those who read it, and nothing that others need is put into it.
          manualChunks: (id) => /\/ui\/told\/((?!en)[a-z]{2})\.ts$/.exec(id)?.[1],
        },
      },
    },
  },
});
