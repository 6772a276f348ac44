import { readWordList, type WordList } from './automaton';

/**
 * The lists that come with the application, by language. A list is a constant of the program that comes apart from it,
 * because it is large: whoever marks hands it in, or says how it is read. It never changes under its name, so marking
 * stays a function of question, answer and context; where a list is missing, marking throws rather than mark otherwise.
 */
const LISTS = {
  en: { title: 'English', since: 1 },
  fr: { title: 'French', since: 1 },
  es: { title: 'Spanish', since: 1 },
  pt: { title: 'Portuguese', since: 1 },
  nl: { title: 'Dutch', since: 1 },
  de: { title: 'German', since: 2 },
} as const;

/** The edition of the lists; each quiz says by which it is marked, so that marks stay as they are. */
export type Edition = 1 | 2;
export const NEWEST_EDITION: Edition = 2;

/** What a list is called by files and by people. */
export interface NamedList {
  readonly name: string;
  /** Its language in English. */
  readonly title: string;
}

/** The list for a language tag such as `en-GB`; null where there is none in that edition. It is named by the edition that it came with. */
export function listFor(language: string, edition: Edition): NamedList | null {
  const base = language.toLowerCase().split('-')[0] ?? '';
  if (!(base in LISTS)) return null;
  const { title, since } = LISTS[base as keyof typeof LISTS];
  return since <= edition ? { name: `${base}-${since}`, title } : null;
}

/** A list is asked for that has not been handed in yet. Whoever can fetch it does so and asks again. */
export class ListMissing extends Error {
  constructor(readonly list: string) {
    super(`The word list ${list} has not been loaded`);
  }
}

const lists = new Map<string, WordList>();
let readNow: ((name: string) => Uint8Array) | null = null;

/** Makes a list known, from its unpacked file. */
export function handIn(bytes: Uint8Array): void {
  const list = readWordList(bytes);
  lists.set(list.name, list);
}

/** Where lists can be read at once: how. It gives a list's unpacked file. */
export function readListsWith(read: (name: string) => Uint8Array): void {
  readNow = read;
}

/** A list by its name. Throws {@link ListMissing} where it is not there and cannot be read at once. */
export function wordList(name: string): WordList {
  if (!lists.has(name) && readNow) handIn(readNow(name));
  const list = lists.get(name);
  if (!list) throw new ListMissing(name);
  return list;
}

/** The same where it is there already; null where it would have to be fetched. */
export function listAtHand(name: string): WordList | null {
  try {
    return wordList(name);
  } catch (error) {
    if (error instanceof ListMissing) return null;
    throw error;
  }
}
