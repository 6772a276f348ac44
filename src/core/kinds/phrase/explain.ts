import { countedSigns } from '../../answers/text/signs/countingSigns';
import { unify } from '../../answers/text/unify';
import { comparedText } from '../../answers/text/comparedText';
import type { Mark, MarkingContext } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { boundLines } from '../shared/makeMark';
import { decide, type Match } from '../shared/textKey/decide';
import { hasTextKey, isUnsure } from '../shared/textKey/judge';
import { AnswerTexts, readyKey, type ReadyVariant } from '../shared/textKey/ready';
import { mark } from './mark';
import type { PhraseAnswer, PhraseQuestion } from './schema';

import { whyNot } from './whyNot';

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

/** What becomes of an answer that nothing matched. */
function unmatchedCode({ state }: Mark, key: readonly ReadyVariant[], texts: AnswerTexts): string {
  if (state !== 'waits') return 'unmatchedWrong';
  return isUnsure(key, texts) ? 'unlistedWaits' : 'unmatchedWaits';
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
  const counted = question.settings.ignorePunctuation ? countedSigns(unify(answer.text)) : [];
  const signs = counted.map(({ sign, as }) => note('answer', 'signCounts', { sign, as }));
  if (!hasTextKey(question)) return [given, ...signs, note('rule', 'noKey')];
  const key = readyKey(question, context);
  const texts = new AnswerTexts(answer.text, context.language);
  const match = decide(key, texts);
  const rule = match
    ? matchLines(match)
    : [note('rule', unmatchedCode(marked, key, texts), { near: marked.nearMiss })];
  const bound = match ? boundLines(match.credit, question) : [];
  const others = key.filter((variant) => variant !== match?.variant);
  return [
    given,
    ...signs,
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
