import { isBlankText } from '../../answers/text/prepare';
import { ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marking/mark';
import { isSilent } from '../../quiz/silence';
import type { Feedback } from '../../quiz/feedback';
import { contradicts, decide } from './decide';
import { AnswerTexts, readyKey } from './key';
import { nearMissOf } from './nearMiss';
import type { PhraseAnswer, PhraseQuestion } from './schema';

/** A key needs at least one variant that earns something. */
export const hasKey = (question: PhraseQuestion): boolean =>
  question.variants.some(
    (variant) => variant.credit.n > 0 && variant.forms.some((form) => form.trim() !== ''),
  );

function feedbackFor(question: PhraseQuestion, own: Feedback, credit: Fraction): Feedback {
  if (!isSilent(own)) return own;
  if (credit.n <= 0) return question.wrong;
  return credit.n === credit.d ? question.right : question.partly;
}

/** Compares a typed answer with the key: see `docs/marking.md`, text. */
export function mark(question: PhraseQuestion, answer: PhraseAnswer | null, context: MarkingContext): Mark {
  if (!answer || isBlankText(answer.text, question.settings)) return BLANK;
  if (!hasKey(question)) return WAITS;
  const key = readyKey(question, context.language);
  const texts = new AnswerTexts(answer.text, context.language);
  const match = decide(key, texts);
  if (!match) return unmatched(question, nearMissOf(key, texts));
  const { variant } = match.variant;
  return {
    state: 'marked',
    credit: match.credit,
    keyCredit: variant.credit,
    rule: variant.id,
    feedback: feedbackFor(question, variant.feedback, variant.credit),
    errors: match.errors,
    nearMiss: null,
    contradiction: contradicts(key, texts),
  };
}

function unmatched(question: PhraseQuestion, nearMiss: Mark['nearMiss']): Mark {
  const waits =
    question.unmatched === 'waits' || (question.unmatched === 'nearMissesWait' && nearMiss !== null);
  if (waits) return { ...WAITS, nearMiss };
  return { ...BLANK, state: 'marked', feedback: question.wrong, nearMiss };
}

export function bestCredit(question: PhraseQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  return question.variants.reduce(
    (best, { credit }) => (credit.n * best.d > best.n * credit.d ? credit : best),
    ZERO,
  );
}
