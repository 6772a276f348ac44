/** Singular and plural by the rules of a language, whatever the length of the word. */

type Pair = readonly [one: string, many: string];

const IRREGULAR: Readonly<Record<string, readonly Pair[]>> = {
  en: [['man', 'men'], ['child', 'children'], ['foot', 'feet'], ['tooth', 'teeth'], ['goose', 'geese'], ['mouse', 'mice'], ['louse', 'lice'], ['ox', 'oxen'], ['person', 'people']],
  fr: [['œil', 'yeux'], ['ciel', 'cieux'], ['travail', 'travaux'], ['vitrail', 'vitraux'], ['corail', 'coraux']],
  nl: [['stad', 'steden'], ['schip', 'schepen'], ['kind', 'kinderen'], ['ei', 'eieren'], ['blad', 'bladeren']],
  it: [['uomo', 'uomini'], ['uovo', 'uova'], ['braccio', 'braccia'], ['dito', 'dita']],
}; // prettier-ignore

/** Words that end like the plural of another one and are a word of their own beside it. */
const NO_PLURALS: Readonly<Record<string, readonly Pair[]>> = {
  en: [['new', 'news'], ['mean', 'means'], ['good', 'goods'], ['custom', 'customs']],
}; // prettier-ignore

/** What a word ends in, and what its plural has there instead. */
const ENDINGS: Readonly<Record<string, readonly (readonly [one: RegExp, many: readonly string[]])[]>> = {
  en: [
    [/(?<!s)$/, ['s']], [/(?<=s|x|z|ch|sh|o)$/, ['es']], [/(?<=[^aeiou])y$/, ['ies']], [/fe?$/, ['ves']],
    [/us$/, ['i']], [/um$/, ['a']], [/(?<=men|eri|mat|dri|gli|edr|zo|tax)on$/, ['a']], [/a$/, ['ae']], [/is$/, ['es']], [/[ei]x$/, ['ices']],
  ],
  fr: [[/(?<![sxz])$/, ['s']], [/(?<=au|eu|ou)$/, ['x']], [/al$/, ['aux']]],
  es: [[/(?<!s)$/, ['s']], [/(?<=[^aeiouáéíóús]|[íú])$/, ['es']], [/z$/, ['ces']], [/(?<=[áéíóú])s$/, ['ses']]],
  pt: [[/(?<!s)$/, ['s']], [/(?<=[rzs])$/, ['es']], [/m$/, ['ns']], [/ão$/, ['ões', 'ães', 'ãos']], [/(?<=[aeou])l$/, ['is']], [/il$/, ['is', 'eis']]],
  it: [[/[oe]$/, ['i']], [/a$/, ['e', 'i']], [/co$/, ['chi']], [/go$/, ['ghi']], [/ca$/, ['che']], [/ga$/, ['ghe']], [/io$/, ['i']]],
  nl: [[/(?<!s)$/, ['s', 'en']], [/s$/, ['zen']], [/f$/, ['ven']], [/([^aeiou])$/, ['$1$1en']], [/([aeou])\1([bdgklmnprt])$/, ['$1$2en']], [/([aeou])\1s$/, ['$1zen']], [/([aeou])\1f$/, ['$1ven']]],
  de: [[/$/, ['e', 'n', 'en', 'er', 's', 'nen']], [/nis$/, ['nisse']], [/um$/, ['en']]],
}; // prettier-ignore

/** German words whose plural differs by its umlaut alone; most others that end in -en are verbs: drucken, drücken. */
const UMLAUT_ALONE = /(?:e[rl]|(?:gart|lad|bod|of|fad|grab|haf|mag|schad|kast|bog|krag)en)$/;

const UMLAUTS = { ä: 'a', ö: 'o', ü: 'u' } as const;
const withoutUmlauts = (word: string): string =>
  word.replace(/[äöü]/g, (letter) => UMLAUTS[letter as keyof typeof UMLAUTS]);
const withoutAccents = (word: string): string => word.normalize('NFD').replace(/\p{M}/gu, '');

const made = (one: string, many: string, base: string): boolean =>
  (ENDINGS[base] ?? []).some(
    ([end, plurals]) => end.test(one) && plurals.some((plural) => one.replace(end, plural) === many),
  );

/** One word is the plural of the other. */
function isPluralOf(many: string, one: string, base: string): boolean {
  if (one.length < 2 || NO_PLURALS[base]?.some(([a, b]) => a === one && b === many)) return false;
  if (IRREGULAR[base]?.some(([a, b]) => one.endsWith(a) && many === one.slice(0, -a.length) + b)) return true;
  if (made(one, many, base)) return true;
  // An accent may come or go with the ending: joven, jóvenes; canción, canciones.
  if (base === 'es' || base === 'pt') return made(withoutAccents(one), withoutAccents(many), base);
  // The vowel may change besides, or alone: Baum, Bäume; Mutter, Mütter.
  if (base === 'de' && /[äöü]/.test(many)) {
    const plain = withoutUmlauts(many);
    return plain === one ? UMLAUT_ALONE.test(one) : made(withoutUmlauts(one), plain, base);
  }
  return false;
}

/** One of the two is the plural of the other, by the rules of the language; no rules, no plurals. */
export function isPlural(a: string, b: string, language: string): boolean {
  const base = language.toLowerCase().split('-')[0] ?? '';
  return isPluralOf(a, b, base) || isPluralOf(b, a, base);
}

/** The same by the rules of whichever language, for words of three letters or more. */
export const isPluralAnywhere = (a: string, b: string): boolean =>
  a.length > 2 &&
  b.length > 2 &&
  a !== b &&
  Object.keys(ENDINGS).some((language) => isPlural(a, b, language));
