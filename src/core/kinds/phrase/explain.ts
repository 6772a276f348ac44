import { equivalents } from '../../answers/text/accents';
import { typingErrors } from '../../answers/text/distance';
import { formErrors, refusalOf } from '../../answers/text/match';
import { comparedText } from '../../answers/text/comparedText';
import { prepare } from '../../answers/text/prepare';
import { errorsAllowed, type TextSettings } from '../../answers/text/settings';
import type { MarkingContext } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { boundLines } from '../shared/makeMark';
import { decide, type Match } from '../shared/textKey/decide';
import { hasTextKey } from '../shared/textKey/judge';
import { areTooMuch, AnswerTexts, readyKey, type ReadyVariant } from '../shared/textKey/ready';
import { mark } from './mark';
import type { PhraseAnswer, PhraseQuestion } from './schema';

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
function whyNot(variant: ReadyVariant, answer: AnswerTexts): TraceLine {
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

function matchLines(match: Match): TraceLine[] {
  const { variant } = match.variant;
  const line = note('rule', `matched.${variant.match}`, {
    form: match.form,
    credit: variant.credit,
    errors: match.errors,
  });
  if (match.errors === 0 || match.credit === variant.credit) return [line];
  const price = match.variant.settings.typingErrorPrice;
  return [
    line,
    change('credit', 'errorPrice', variant.credit, match.credit, { errors: match.errors, price }),
  ];
}

/** What the answer was compared as, which variant matched, and why each other one did not. */
export function explain(
  question: PhraseQuestion,
  answer: PhraseAnswer | null,
  context: MarkingContext,
): TraceLine[] {
  const marked = mark(question, answer, context);
  if (!answer || marked.state === 'blank') return [note('answer', 'blank')];
  const given = note('answer', 'comparedAs', {
    text: answer.text,
    compared: comparedText(answer.text, question.settings, context.language),
  });
  if (!hasTextKey(question)) return [given, note('rule', 'noKey')];
  const key = readyKey(question, context);
  const texts = new AnswerTexts(answer.text, context.language);
  const match = decide(key, texts);
  const rule = match
    ? matchLines(match)
    : [
        note('rule', marked.state === 'waits' ? 'unmatchedWaits' : 'unmatchedWrong', {
          near: marked.nearMiss,
        }),
      ];
  const bound = match ? boundLines(match.credit, question) : [];
  const others = key.filter((variant) => variant !== match?.variant);
  return [
    given,
    ...rule,
    ...bound,
    ...(marked.contradiction ? [note('rule', 'contradiction')] : []),
    ...others.map((variant) => alsoOrWhyNot(variant, texts)),
  ];
}

/** Another variant that would have matched as well, but comes later; else why it does not match. */
function alsoOrWhyNot(variant: ReadyVariant, texts: AnswerTexts): TraceLine {
  const match = decide([variant], texts);
  if (!match) return whyNot(variant, texts);
  return note('others', match.errors === 0 ? 'alsoMatches' : 'alsoWithErrors', {
    form: match.form,
    credit: variant.variant.credit,
    errors: match.errors,
  });
}
