/**
 * Writes word lists into `public/words`, or into the folder behind `--to`, each once: a list that is there and whole is left
 * as it is. All of them, or those that are named (`en-1 fr-1`). A list appears when it is whole, never before.
 */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { gunzipSync, gzipSync } from 'fflate';
import { automatonFile } from './automaton';
import { LISTS, type ListRecipe } from './lists';
import { notices } from './notices';

const { values, positionals: wanted } = parseArgs({
  allowPositionals: true,
  options: { to: { type: 'string', default: 'public/words' } },
});
const FOLDER = values.to;
const KNOWN = 'scripts/words/known.json';
const known = JSON.parse(readFileSync(KNOWN, 'utf8')) as Record<string, string>;
const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Words that folding leaves as they are, nearly all of a dictionary: small letters of western languages, each one sign. */
const SMALL = /^[a-zß-öø-ÿ]{2,}$/;

/**
 * Small letters, accents kept, as marking writes the words that it looks up; what else a dictionary has is no word here. Names
 * are those that it knows with a capital alone.
 */
function wordsOf({ words }: ListRecipe): { words: string[]; names: Set<string> } {
  /** By word, whether it is known in small letters. */
  const known = new Map<string, boolean>();
  for (const word of words()) {
    if (known.get(word)) continue;
    if (SMALL.test(word)) {
      known.set(word, true);
      continue;
    }
    const folded = word.normalize('NFKC').toLowerCase().normalize('NFC');
    if (!/^[\p{L}\p{M}]{2,}$/u.test(folded)) continue;
    const isSmall = word.normalize('NFKC').normalize('NFC') === folded;
    if (isSmall || !known.has(folded)) known.set(folded, isSmall);
  }
  const names = new Set<string>();
  for (const [word, isSmall] of known) if (!isSmall) names.add(word);
  return { words: [...known.keys()].sort(), names };
}

mkdirSync(FOLDER, { recursive: true });
writeFileSync(`${FOLDER}/NOTICES.md`, notices());
for (const recipe of LISTS.filter(({ name }) => wanted.length === 0 || wanted.includes(name))) {
  const { name, language } = recipe;
  const path = `${FOLDER}/${name}.bin`;
  if (existsSync(path) && hashOf(gunzipSync(readFileSync(path))) === known[name]) continue;
  const started = Date.now();
  const { words, names } = wordsOf(recipe);
  const bytes = automatonFile({ name, language }, words, names, recipe.pairs?.() ?? []);
  if (hashOf(bytes) !== known[name]) {
    if (known[name] !== undefined)
      throw new Error(
        `${name} would not be what it was. A list never changes under its name: give the new one a name of its own.`,
      );
    known[name] = hashOf(bytes);
    writeFileSync(KNOWN, `${JSON.stringify(known, null, 2)}\n`);
  }
  const packed = gzipSync(bytes, { level: 9, mtime: 0 });
  // Two may make the same list at once: the name of each half-made one is its own.
  writeFileSync(`${path}.${process.pid}`, packed);
  renameSync(`${path}.${process.pid}`, path);
  const took = ((Date.now() - started) / 1000).toFixed(1);
  console.log(`${name}: ${Math.round(packed.length / 1024)} kB in ${took} s`);
}
