/** Words that multiply a number, by language, with the power of ten; what `billion` is depends on the language. */
const MULTIPLIERS: Readonly<Record<string, readonly (readonly [words: string, power: number])[]>> = {
  en: [['hundred', 2], ['thousand', 3], ['millions?|mn', 6], ['billions?|bn', 9], ['trillions?', 12]],
  de: [['hundert', 2], ['tausend|tsd', 3], ['million(?:en)?|mio', 6], ['milliarden?|mrd', 9], ['billion(?:en)?', 12]],
  fr: [['cents?', 2], ['mille', 3], ['millions?', 6], ['milliards?', 9], ['billions?', 12]],
  es: [['mil', 3], ['mill(?:ó|o)n|millones', 6], ['bill(?:ó|o)n|billones', 12]],
  it: [['mila', 3], ['milion[ei]', 6], ['miliard[oi]', 9]],
  pt: [['mil', 3], ['milh(?:ã|a)o|milh(?:õ|o)es', 6], ['bilh(?:ã|a)o|bilh(?:õ|o)es', 9]],
  nl: [['honderd', 2], ['duizend', 3], ['miljoen|mln', 6], ['miljard|mld', 9], ['biljoen', 12]],
}; // prettier-ignore

/** What joins such a word and what is counted: `millions d’euros`. */
const JOINED = /^(?:(?:of|de|di) |d['’])/i;

type Multiplier = readonly [begins: RegExp, power: number];

const ready = new Map(
  Object.entries(MULTIPLIERS).map(([language, rows]) => [
    language,
    rows.map(([words, power]): Multiplier => [new RegExp(`^(?:${words})\\.?(?= |$)`, 'iu'), power]),
  ]),
);

const baseOf = (language: string): string => language.toLowerCase().split('-')[0] ?? '';

/** A power of ten by which the words behind a number multiply it, and what stands behind them. */
export interface Multiplied {
  readonly word: string;
  readonly power: number;
  readonly rest: string;
}

/** What the first word behind a number multiplies it by, in the question's language, else in English; null for no such word. */
export function multiplierIn(unit: string, language: string): Multiplied | null {
  for (const [begins, power] of [...(ready.get(baseOf(language)) ?? []), ...(ready.get('en') ?? [])]) {
    const found = begins.exec(unit);
    if (found) return { word: found[0], power, rest: unit.slice(found[0].length).trim().replace(JOINED, '') };
  }
  return null;
}

/** Whether some language multiplies by all these words: what may stand behind an amount with its currency in front. */
export const multipliesSomewhere = (unit: string): boolean =>
  [...ready.keys()].some((language) => multiplierIn(unit, language)?.rest === '');
