import { negationsOf } from '../../../answers/text/matching/denial';
import { listFor, NEWEST_EDITION } from '../../../answers/text/words/wordLists';
import { equivalents } from '../../../answers/text/accents';
import type { Comparison } from '../../../answers/text/matching/comparison';
import { MOST_WORK, readPattern, type Pattern, type PatternTrouble } from '../../../answers/text/pattern';
import type { KnownWords } from '../../../answers/text/words/otherWords';
import { prepare, prepared, type Prepared } from '../../../answers/text/prepare';
import { letsPass, type TextSettings } from '../../../answers/text/settings';
import type { TextKey, Variant } from './schema';

/** How typed texts are read: by which language, and by which words where other words may not pass for misspelt ones. */
export interface TextReading {
  readonly language: string;
  readonly words?: KnownWords | null;
}

/** One form of a variant, made ready for comparing. */
interface ReadyForm {
  readonly source: string;
  readonly form: Prepared;
  /** Of a pattern: what is tried, or why nothing can be; null of any other form. */
  readonly pattern: Pattern | PatternTrouble | null;
}

/** A variant made ready for comparing: its settings joined, its forms prepared. */
export interface ReadyVariant {
  readonly variant: Variant;
  readonly index: number;
  readonly settings: TextSettings;
  /** The same for variants under which an answer is compared as the same text. */
  readonly settingsKey: string;
  readonly comparison: Comparison;
  /** Errors could pass, but there is no list of words by which to tell them from other words: they wait. */
  readonly unlisted: boolean;
  readonly forms: readonly ReadyForm[];
}

function ready(
  variant: Variant,
  index: number,
  question: TextKey,
  { language, words = null }: TextReading,
): ReadyVariant {
  const settings = { ...question.settings, ...variant.settings };
  const isPattern = variant.match === 'pattern';
  const unlisted =
    !isPattern &&
    settings.typingErrors !== 0 &&
    settings.otherWords !== 'pass' &&
    listFor(language, NEWEST_EDITION) === null;
  const forms = variant.forms
    .map((source) => ({
      source,
      form: isPattern ? prepared(source) : prepare(source, settings, language),
      pattern: isPattern ? readPattern(source, settings, language) : null,
    }))
    .filter(({ form }) => form.text !== '');
  return {
    variant,
    index,
    settings,
    settingsKey: JSON.stringify([
      settings.ignoreCapitals,
      settings.ignoreArticles,
      settings.ignorePunctuation,
      settings.ignoreAccents,
    ]),
    comparison: {
      way: variant.match === 'pattern' ? 'whole' : variant.match,
      wordOrderCounts: !settings.ignoreWordOrder,
      punctuationCounts: !settings.ignorePunctuation,
      errors: unlisted ? 0 : settings.typingErrors,
      same: equivalents(settings, language),
      others:
        words && settings.otherWords !== 'pass' && letsPass(settings)
          ? { words, finalS: settings.otherWords === 'refuseButS' }
          : null,
      negations: negationsOf(language),
    },
    unlisted,
    forms,
  };
}

/** The patterns of a key that would be tried on each answer. */
interface Patterns {
  readonly steps: number;
  readonly isOneTooLarge: boolean;
  /** Whether one of them would decide over a variant that is matched as a whole. */
  readonly decide: boolean;
}

const patternsOf = new WeakMap<readonly ReadyVariant[], Patterns>();

function patternsIn(key: readonly ReadyVariant[]): Patterns {
  const known = patternsOf.get(key);
  if (known) return known;
  const those = key.filter(({ variant }) => variant.match === 'pattern');
  const all = those.flatMap(({ forms }) => forms.map(({ pattern }) => pattern));
  const made = {
    steps: all.reduce((sum, one) => sum + (typeof one === 'object' && one ? one.steps : 0), 0),
    isOneTooLarge: all.includes('tooLarge'),
    decide: those.some(({ variant }) => variant.decides),
  };
  patternsOf.set(key, made);
  return made;
}

/** Whether the patterns of a key are too much work for an answer, so that none of them is tried. */
export const areTooMuch = (key: readonly ReadyVariant[], { source }: AnswerTexts): boolean =>
  patternsIn(key).isOneTooLarge || patternsIn(key).steps * source.length > MOST_WORK;

/** Whether a pattern that is not tried might decide over a variant that is matched as a whole. */
export const mayOverrule = (key: readonly ReadyVariant[]): boolean => patternsIn(key).decide;

const readyKeys = new WeakMap<TextKey, Map<string, readonly ReadyVariant[]>>();

/** The question's key made ready once; questions are immutable, so it is kept with the question. */
export function readyKey(question: TextKey, reading: TextReading): readonly ReadyVariant[] {
  const byReading = readyKeys.get(question) ?? new Map<string, readonly ReadyVariant[]>();
  readyKeys.set(question, byReading);
  const key = readingKey(reading);
  const known = byReading.get(key);
  if (known) return known;
  const made = question.variants.map((variant, index) => ready(variant, index, question, reading));
  byReading.set(key, made);
  return made;
}

/** The same for readings under which every text is judged alike. */
export const readingKey = ({ language, words }: TextReading): string => words?.id ?? language;

/** An answer's text as compared under each variant's settings, each worked out once. */
export class AnswerTexts {
  readonly #byKey = new Map<string, Prepared>();
  constructor(
    readonly source: string,
    readonly language: string,
  ) {}

  /** The text under settings; `settingsKey` is the same for settings that compare alike. */
  under({ settingsKey, settings }: Pick<ReadyVariant, 'settingsKey' | 'settings'>): Prepared {
    let text = this.#byKey.get(settingsKey);
    if (!text) {
      text = prepare(this.source, settings, this.language);
      this.#byKey.set(settingsKey, text);
    }
    return text;
  }
}
