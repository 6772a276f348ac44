import { grammarOf } from './grammar';
import { en, type Told } from './en';
import type { Grammar } from './grammar';

type Tell = (grammar: Grammar) => Told;

/** Where each language but English is; a page fetches the one that it needs. */
const OTHERS: Readonly<Record<string, () => Promise<Tell>>> = {
  de: async () => (await import('./de')).de,
  fr: async () => (await import('./fr')).fr,
  es: async () => (await import('./es')).es,
  pt: async () => (await import('./pt')).pt,
  nl: async () => (await import('./nl')).nl,
  it: async () => (await import('./it')).it,
};

/** All languages that students are told in. */
export const TOLD_LANGUAGES = ['en', ...Object.keys(OTHERS)];

/** The region in which a language is written where neither quiz nor browser says one. */
const HOME: Readonly<Record<string, string>> = { en: 'en-GB', pt: 'pt-PT' };

const mainOf = (tag: string): string => tag.split('-')[0]?.toLowerCase() ?? '';

/** A language that students are told in, and the region whose times and figures go with it. */
export interface Chosen {
  readonly language: string;
  readonly locale: string;
}

/** The language of the quiz where Yentrel has it, else the first of the browser's that it has, else English. */
export function chosenLanguage(quiz: string | null, browser: readonly string[]): Chosen {
  const wanted = [...(quiz === null ? [] : [quiz]), ...browser].find((tag) =>
    TOLD_LANGUAGES.includes(mainOf(tag)),
  );
  const language = wanted === undefined ? 'en' : mainOf(wanted);
  const region = [...(wanted === undefined ? [] : [wanted]), ...browser].find(
    (tag) => tag.includes('-') && mainOf(tag) === language,
  );
  return { language, locale: region ?? HOME[language] ?? language };
}

/** What students are told in one language, with its figures. */
export interface Telling {
  readonly language: string;
  readonly told: Told;
  readonly grammar: Grammar;
}

const tell = (
  make: Tell,
  { language, locale }: Partial<Chosen> & { language: string },
  sign: Parameters<typeof grammarOf>[2],
): Telling => {
  const grammar = grammarOf(language, locale, sign);
  return { language, told: make(grammar), grammar };
};

/** In English, with the figures of the browser's language: what teachers see of what students are told. */
export const IN_ENGLISH: Telling = tell(en, { language: 'en' }, null);

/** What students are told in a chosen language; in English where its words do not arrive. `sign`: the quiz's, before decimals. */
export async function tellingIn(chosen: Chosen, sign: 'point' | 'comma' | null): Promise<Telling> {
  const words = await OTHERS[chosen.language]?.().catch(() => null);
  return words
    ? tell(words, chosen, sign)
    : tell(en, { language: 'en', locale: chosen.language === 'en' ? chosen.locale : 'en-GB' }, sign);
}
