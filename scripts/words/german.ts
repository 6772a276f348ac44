import { readFileSync } from 'node:fs';

/** The gender of a noun is no word of it. */
const GENDER = 'G';
/** Where a verb's participles stand: several of them are all forms of their own. */
const PARTICIPLES = 'PA2';

/** Every word in an entry: a noun, verb or adjective in all its forms. */
function* formsIn(entry: unknown, under = ''): Generator<string> {
  if (typeof entry === 'string') yield entry;
  else if (Array.isArray(entry)) {
    const forms = entry.filter((form) => typeof form === 'string');
    yield* forms;
    // A verb that is parted in a main clause is one word in another: arbeitet … ab, abarbeitet.
    if (under !== PARTICIPLES && forms.length === 2) yield `${forms[1]}${forms[0]}`;
  } else if (typeof entry === 'object' && entry !== null)
    for (const [name, inner] of Object.entries(entry)) if (name !== GENDER) yield* formsIn(inner, name);
}

const WORD = /^\p{L}\p{Ll}+$/u;

/**
 * Every word of German that is known here, in small letters and with ss for ß: nouns have a capital by rule, so that one is no sign
 * of a name, and who writes as the Swiss do has no ß.
 */
export function* germanWords(read: (file: string) => string): Generator<string> {
  const folded = (word: string): string => word.toLowerCase().replaceAll('ß', 'ss');
  for (const kind of ['words', 'verbs', 'adjectives']) {
    const entries = JSON.parse(read(`german-${kind}-dict/dist/${kind}.json`)) as Record<string, unknown>;
    for (const [word, entry] of Object.entries(entries))
      yield* [word, ...formsIn(entry)].filter((form) => WORD.test(form)).map(folded);
  }
  const little = readFileSync(new URL('german-little-words.txt', import.meta.url), 'utf8');
  for (const word of little.split(/\s+/)) if (word !== '') yield folded(word);
}
