import { ARTICLES } from '../articles';
import type { Prepared } from '../prepare';

/** What denies a word that stands behind it. */

const NEGATIONS: Readonly<Record<string, string>> = {
  en: 'no not non never without cannot neither nor isnt arent wasnt werent doesnt dont didnt cant couldnt wont wouldnt shouldnt hasnt havent hadnt aint anti',
  de: 'nicht kein keine keinen keinem keiner keines nie niemals ohne weder noch',
  fr: 'pas non sans jamais ni aucun aucune nul nulle',
  es: 'no sin nunca jamás jamas ni ningún ningun ninguna',
  it: 'non senza mai né nè nessun nessuna nessuno',
  pt: 'não nao sem nunca jamais nem nenhum nenhuma',
  nl: 'niet geen nooit zonder noch',
};

/** Little words between a negation and what it denies, besides articles: very, so, any, and forms of to be. */
const BETWEEN =
  'very really any quite so too ever actually truly be been being of kind sort even ' +
  'sehr wirklich ganz so sein eine art ' +
  'très vraiment si de d être du ' +
  'muy realmente tan es son era ser está están hay ' +
  'molto davvero così è e sono era essere ' +
  'muito realmente tão é são era ser há está ' +
  'heel erg zo echt is zijn';

const baseOf = (language: string): string => language.toLowerCase().split('-')[0] ?? '';
const known = new Map<string, ReadonlySet<string>>();

/** Words of a language that deny what stands behind them; empty where none are known. */
export function negationsOf(language: string): ReadonlySet<string> {
  const base = baseOf(language);
  const found = known.get(base);
  if (found) return found;
  const made = new Set((NEGATIONS[base] ?? '').split(' ').filter(Boolean));
  known.set(base, made);
  return made;
}

const PASSED_OVER = new Set([
  ...BETWEEN.split(' '),
  ...Object.values(ARTICLES).flatMap(({ words }) => words),
]);

const plain = (word: string): string => word.toLowerCase().replaceAll("'", '');

/** No negations: whatever stands in an answer is held. */
export const NONE: ReadonlySet<string> = new Set();

const looked = new WeakMap<Prepared, { readonly negations: ReadonlySet<string>; readonly holds: boolean }>();

/** Whether a text may deny something at all: looked for once in each text. */
export function holdsNegation(text: Prepared, negations: ReadonlySet<string>): boolean {
  if (negations.size === 0) return false;
  const known = looked.get(text);
  if (known?.negations === negations) return known.holds;
  const holds = text.words.some((word) => negations.has(plain(word)));
  looked.set(text, { negations, holds });
  return holds;
}

/** Whether the word before a place, articles and little words left out, denies what stands there. */
export function isDenied(words: readonly string[], from: number, negations: ReadonlySet<string>): boolean {
  if (negations.size === 0) return false;
  for (let at = from - 1; at >= 0; at--) {
    const word = plain(words[at] as string);
    if (negations.has(word)) return true;
    if (!PASSED_OVER.has(word)) return false;
  }
  return false;
}
