import { typingErrors } from '../../answers/text/distance';
import { formErrors } from '../../answers/text/match';
import { equivalents } from '../../answers/text/accents';
import { comparedText, prepared, type Prepared } from '../../answers/text/prepare';
import type { TextSettings } from '../../answers/text/settings';
import type { NearMiss } from '../../marking/mark';
import type { AnswerTexts, ReadyVariant } from './key';

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

const equalWithAllIgnored: Test = (source, _, answer, variant) => {
  const settings = allIgnored(variant.settings);
  const ready = (text: string): Prepared => prepared(comparedText(text, settings, answer.language));
  const form = ready(source);
  if (form.text === '') return false;
  const comparison = {
    way: 'whole',
    wordOrderCounts: false,
    punctuationCounts: false,
    errors: 0,
    same: equivalents(settings, answer.language),
  } as const;
  return formErrors(form, ready(answer.source), comparison, true) === 0;
};

const digits = (words: readonly string[]): string =>
  words.filter((word) => HAS_DIGIT.test(word)).sort().join(' '); // prettier-ignore

const withinTwoErrors: Test = (_, form, answer, variant) => {
  const compared = answer.under(variant);
  if (digits(form.words) !== digits(compared.words)) return false;
  const limit = Math.min(2, Math.floor(form.letters.length / 2));
  return typingErrors(form.letters, compared.letters, limit, variant.comparison.same) !== null;
};

/** Every word of `few` stands among `many`, as often. */
function among(few: readonly string[], many: readonly string[]): boolean {
  const left = [...many];
  return (
    few.length > 0 &&
    few.every((word) => {
      const at = left.indexOf(word);
      if (at >= 0) left.splice(at, 1);
      return at >= 0;
    })
  );
}

const shortName: Test = (_, form, answer, variant) => among(answer.under(variant).words, form.words);
const longName: Test = (_, form, answer, variant) => among(form.words, answer.under(variant).words);

const TESTS: readonly (readonly [NearMiss, Test])[] = [
  ['withoutSpaces', equalWithoutSpaces],
  ['moreIgnored', equalWithAllIgnored],
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
