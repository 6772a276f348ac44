import { equivalents } from '../../answers/text/accents';
import { typingErrors } from '../../answers/text/matching/distance';
import { formErrors, refusalOf } from '../../answers/text/matching/match';
import { countedSigns } from '../../answers/text/signs/countingSigns';
import { unify } from '../../answers/text/unify';
import { prepare } from '../../answers/text/prepare';
import { errorsAllowed, type TextSettings } from '../../answers/text/settings';
import { note, type TraceLine } from '../../marks/trace';
import type { AnswerTexts } from '../shared/textKey/ready';
import { areTooMuch, type ReadyVariant } from '../shared/textKey/ready';

type Ignorable =
  'ignoreCapitals' | 'ignoreArticles' | 'ignorePunctuation' | 'ignoreAccents' | 'ignoreWordOrder';
const IGNORABLE: readonly Ignorable[] = [
  'ignoreCapitals',
  'ignoreArticles',
  'ignorePunctuation',
  'ignoreAccents',
  'ignoreWordOrder',
];

/** Would the form match exactly under these settings? */
function matchesUnder(
  settings: TextSettings,
  form: string,
  answer: AnswerTexts,
  variant: ReadyVariant,
): boolean {
  const ready = (text: string) => prepare(text, settings, answer.language);
  const comparison = {
    ...variant.comparison,
    wordOrderCounts: !settings.ignoreWordOrder,
    punctuationCounts: !settings.ignorePunctuation,
    same: equivalents(settings, answer.language),
  };
  const compared = ready(form);
  return compared.text !== '' && formErrors(compared, ready(answer.source), comparison, true) === 0;
}

/** Why a pattern does not count for an answer. */
function patternLine(key: readonly [ReadyVariant], answer: AnswerTexts): string {
  const pattern = key[0].forms[0]?.pattern;
  if (pattern === 'tooLarge') return 'patternTooLarge';
  if (pattern === 'unreadable') return 'patternUnreadable';
  return areTooMuch(key, answer) ? 'patternUntried' : 'patternNot';
}

/** The first thing in which the answer differs from a variant that did not match. */
export function whyNot(variant: ReadyVariant, answer: AnswerTexts): TraceLine {
  const first = variant.forms[0];
  const values = { form: first?.source ?? '', credit: variant.variant.credit };
  if (!first) return note('others', 'noForm', values);
  if (variant.variant.match === 'pattern') {
    return note('others', patternLine([variant], answer), values);
  }
  for (const { source, form } of variant.forms) {
    const refusal = refusalOf(form, answer.under(variant), variant.comparison);
    if (refusal) {
      const { why, words, errors } = refusal;
      const list = variant.comparison.others?.words.list ?? '';
      const more = { words: words.join(', '), errors, list };
      return note('others', why === 'anotherWord' ? 'otherWord' : why, { ...values, ...more, form: source });
    }
  }
  const bySign = bySigns(variant, answer);
  if (bySign) return bySign;
  for (const { source } of variant.forms) {
    const missing = IGNORABLE.find(
      (name) =>
        !variant.settings[name] &&
        matchesUnder({ ...variant.settings, [name]: true }, source, answer, variant),
    );
    if (missing) return note('others', `differsIn.${missing}`, { ...values, form: source });
  }
  return byErrors(variant, answer) ?? byWords(variant, answer);
}

const WORDS_ALONE = /[^\p{L}\p{M}\p{Nd}]/gu;

/** The signs of one text that another one lacks, each as often as it does. */
function signsBeyond(text: string, other: string): string[] {
  const left: string[] = other.match(WORDS_ALONE) ?? [];
  return (text.match(WORDS_ALONE) ?? []).filter((sign) => {
    const at = left.indexOf(sign);
    if (at >= 0) left.splice(at, 1);
    return at < 0 && sign !== ' ';
  });
}

/** As what signs count in a text; those that always do have no name of their own. */
const asWhat = (source: string, signs: readonly string[]): string =>
  countedSigns(unify(source)).find(({ sign }) => signs.includes(sign))?.as ?? 'sign';

/** The signs in which an answer differs from a form of the same letters and figures. */
function bySigns(variant: ReadyVariant, answer: AnswerTexts): TraceLine | null {
  const compared = answer.under(variant).text;
  const bare = (text: string) => text.replace(WORDS_ALONE, '');
  for (const { source, form } of variant.forms) {
    if (form.text === compared || bare(form.text) !== bare(compared)) continue;
    const [missing, extra] = [signsBeyond(form.text, compared), signsBeyond(compared, form.text)];
    const values = { form: source, credit: variant.variant.credit };
    if (missing.length > 0)
      return note('others', 'signMissing', {
        ...values,
        signs: missing.join(' '),
        as: asWhat(source, missing),
      });
    if (extra.length > 0)
      return note('others', 'signExtra', {
        ...values,
        signs: extra.join(' '),
        as: asWhat(answer.source, extra),
      });
  }
  return null;
}

function byErrors(variant: ReadyVariant, answer: AnswerTexts): TraceLine | null {
  const compared = answer.under(variant);
  let closest: { form: string; errors: number; allowed: number } | null = null;
  for (const { source, form } of variant.forms) {
    const errors = typingErrors(form.letters, compared.letters, 3, variant.comparison.same);
    if (errors === null || (closest && closest.errors <= errors)) continue;
    closest = {
      form: source,
      errors,
      allowed: errorsAllowed(variant.settings.typingErrors, form.letters.length),
    };
  }
  return closest && closest.errors * 2 <= closest.form.length
    ? note('others', 'typingErrors', { ...closest, credit: variant.variant.credit })
    : null;
}

function byWords(variant: ReadyVariant, answer: AnswerTexts): TraceLine {
  const words = new Set(answer.under(variant).words);
  const [closest] = [...variant.forms].sort(
    (a, b) =>
      b.form.words.filter((w) => words.has(w)).length - a.form.words.filter((w) => words.has(w)).length,
  );
  const values = { form: closest?.source ?? '', credit: variant.variant.credit };
  const form = closest?.form.words ?? [];
  if (!form.some((word) => words.has(word))) return note('others', 'nothingInCommon', values);
  const missing = form.filter((word) => !words.has(word));
  if (missing.length > 0) return note('others', 'wordsMissing', { ...values, words: missing.join(', ') });
  const extra = [...words].filter((word) => !form.includes(word));
  return extra.length > 0
    ? note('others', 'wordsTooMany', { ...values, words: extra.slice(0, 8).join(', ') })
    : note('others', 'otherwise', values);
}
