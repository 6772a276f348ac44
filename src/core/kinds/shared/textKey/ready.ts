import { equivalents } from '../../../answers/text/accents';
import type { Comparison } from '../../../answers/text/match';
import { readPattern, type Pattern } from '../../../answers/text/pattern';
import { comparedText, prepared, type Prepared } from '../../../answers/text/prepare';
import type { TextSettings } from '../../../answers/text/settings';
import type { TextKey, Variant } from './schema';

/** One form of a variant, made ready for comparing. */
interface ReadyForm {
  readonly source: string;
  readonly form: Prepared;
  readonly pattern: Pattern | null;
}

/** A variant made ready for comparing: its settings joined, its forms prepared. */
export interface ReadyVariant {
  readonly variant: Variant;
  readonly index: number;
  readonly settings: TextSettings;
  /** The same for variants under which an answer is compared as the same text. */
  readonly settingsKey: string;
  readonly comparison: Comparison;
  readonly forms: readonly ReadyForm[];
}

function ready(variant: Variant, index: number, question: TextKey, language: string): ReadyVariant {
  const settings = { ...question.settings, ...variant.settings };
  const isPattern = variant.match === 'pattern';
  const forms = variant.forms
    .map((source) => ({
      source,
      form: prepared(isPattern ? source : comparedText(source, settings, language)),
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
      errors: settings.typingErrors,
      same: equivalents(settings, language),
    },
    forms,
  };
}

const readyKeys = new WeakMap<TextKey, Map<string, readonly ReadyVariant[]>>();

/** The question's key made ready once; questions are immutable, so it is kept with the question. */
export function readyKey(question: TextKey, language: string): readonly ReadyVariant[] {
  const byLanguage = readyKeys.get(question) ?? new Map<string, readonly ReadyVariant[]>();
  readyKeys.set(question, byLanguage);
  const known = byLanguage.get(language);
  if (known) return known;
  const made = question.variants.map((variant, index) => ready(variant, index, question, language));
  byLanguage.set(language, made);
  return made;
}

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
      text = prepared(comparedText(this.source, settings, this.language));
      this.#byKey.set(settingsKey, text);
    }
    return text;
  }
}
