import { equivalents } from '../../../answers/text/accents';
import { typingErrors } from '../../../answers/text/distance';
import { formErrors, type Comparison } from '../../../answers/text/match';
import { comparedText, prepared, type Prepared } from '../../../answers/text/prepare';
import type { TextSettings } from '../../../answers/text/settings';
import type { NearMiss } from '../../../marks/mark';
import type { AnswerTexts, ReadyVariant } from './ready';

const HAS_DIGIT = /\p{Nd}/u;
const unspaced = (text: string): string => text.replaceAll(' ', '');

/** Everything that can be ignored. */
const allIgnored = (settings: TextSettings): TextSettings => ({
  ...settings,
  ignoreCapitals: true,
  ignoreArticles: true,
  ignorePunctuation: true,
  ignoreAccents: true,
  ignoreWordOrder: true,
});

type Test = (form: string, ready: Prepared, answer: AnswerTexts, variant: ReadyVariant) => boolean;

const equalWithoutSpaces: Test = (_, form, answer, variant) => {
  const compared = unspaced(answer.under(variant).text);
  return compared !== '' && compared === unspaced(form.text);
};

/** A variant with everything ignored: its forms, and how they are compared. */
interface Ignoring {
  readonly settings: TextSettings;
  readonly settingsKey: string;
  readonly comparison: Comparison;
  readonly forms: ReadonlyMap<string, Prepared>;
}

/** Made once for each variant and language: answers come by the thousand. */
const ignoring = new WeakMap<ReadyVariant, Map<string, Ignoring>>();

function ignoringAll(variant: ReadyVariant, language: string): Ignoring {
  const byLanguage = ignoring.get(variant) ?? new Map<string, Ignoring>();
  ignoring.set(variant, byLanguage);
  const known = byLanguage.get(language);
  if (known) return known;
  const settings = allIgnored(variant.settings);
  const made: Ignoring = {
    settings,
    settingsKey: 'everything',
    comparison: {
      way: 'whole',
      wordOrderCounts: false,
      punctuationCounts: false,
      errors: 0,
      same: equivalents(settings, language),
    },
    forms: new Map(
      variant.forms.map(({ source }) => [source, prepared(comparedText(source, settings, language))]),
    ),
  };
  byLanguage.set(language, made);
  return made;
}

const equalWithAllIgnored: Test = (source, _, answer, variant) => {
  const all = ignoringAll(variant, answer.language);
  const form = all.forms.get(source);
  return (
    form !== undefined && form.text !== '' && formErrors(form, answer.under(all), all.comparison, true) === 0
  );
};

const unsignedOf = new WeakMap<Prepared, string>();

/** Letters and digits alone, with what parts the digits of a number: worked out once for each text. */
function unsigned(text: Prepared): string {
  const known = unsignedOf.get(text);
  if (known !== undefined) return known;
  const made = text.text.replace(/(?<!\p{Nd})[.,:/]|[.,:/](?!\p{Nd})|[^\p{L}\p{M}\p{Nd}.,:/]/gu, '');
  unsignedOf.set(text, made);
  return made;
}

const equalWithoutSigns: Test = (_, form, answer, variant) => {
  const compared = unsigned(answer.under(variant));
  return compared !== '' && compared === unsigned(form);
};

const digitsOf = new WeakMap<Prepared, string>();

/** The words that hold a digit, in order. */
function digits(text: Prepared): string {
  const known = digitsOf.get(text);
  if (known !== undefined) return known;
  const found = HAS_DIGIT.test(text.text)
    ? text.words
        .filter((word) => HAS_DIGIT.test(word))
        .sort()
        .join(' ')
    : '';
  digitsOf.set(text, found);
  return found;
}

const withinTwoErrors: Test = (_, form, answer, variant) => {
  const compared = answer.under(variant);
  if (digits(form) !== digits(compared)) return false;
  const limit = Math.min(2, Math.floor(form.letters.length / 2));
  return typingErrors(form.letters, compared.letters, limit, variant.comparison.same) !== null;
};

/** Every word of `few` stands among `many`, as often. */
function among(few: readonly string[], many: readonly string[]): boolean {
  if (few.length === 0 || few.length > many.length || !many.includes(few[0] as string)) return false;
  const left = [...many];
  return few.every((word) => {
    const at = left.indexOf(word);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

const shortName: Test = (_, form, answer, variant) => among(answer.under(variant).words, form.words);
const longName: Test = (_, form, answer, variant) => among(form.words, answer.under(variant).words);

const TESTS: readonly (readonly [NearMiss, Test])[] = [
  ['withoutSpaces', equalWithoutSpaces],
  ['moreIgnored', equalWithAllIgnored],
  ['withoutSigns', equalWithoutSigns],
  ['typingErrors', withinTwoErrors],
  ['shortName', shortName],
  ['longName', longName],
];

/** The first reason why an answer that matched nothing is close to an accepted variant, or null. */
export function nearMissOf(key: readonly ReadyVariant[], answer: AnswerTexts): NearMiss | null {
  const accepted = key.filter(({ variant }) => variant.credit.n > 0 && variant.match !== 'pattern');
  for (const [reason, test] of TESTS) {
    const close = accepted.some((variant) =>
      variant.forms.some(({ source, form }) => test(source, form, answer, variant)),
    );
    if (close) return reason;
  }
  return null;
}
