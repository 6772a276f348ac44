import { mkdirSync, writeFileSync } from 'node:fs';

/**
 * Writes down which source modules each built browser file holds, so that a test can prove
 * that the student's page carries neither keys nor marking.
 */
export function moduleList() {
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
