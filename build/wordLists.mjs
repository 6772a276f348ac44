import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { LISTS, makeLists, missingIn, putList } from '../scripts/words/make.mjs';

/**
 * Puts the word lists beside the pages. Those that are missing are made while the rest is built: all of them, or those that
 * `LISTS_IN_BUILD` names (comma-separated) where the server makes the others later.
 */
export function wordLists() {
  const wanted = process.env.LISTS_IN_BUILD?.split(',') ?? LISTS;
  let making;
  return {
    name: 'yentrel-word-lists',
    hooks: {
      'astro:build:start': () => {
        const missing = missingIn(join('public', 'words'));
        making = makeLists(wanted.filter((list) => missing.includes(list)));
      },
      'astro:build:done': async ({ dir }) => {
        const trouble = await making;
        if (trouble) throw new Error(`The word lists could not be made.\n${trouble}`);
        for (const list of LISTS) putList(list, join(fileURLToPath(dir), 'words'));
      },
    },
  };
}
