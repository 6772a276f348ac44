import { isBlankText } from '../../answers/text/prepare';
import { smaller, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marking/mark';
import { markOf } from '../marks';
import { contradicts, decide } from './decide';
import { AnswerTexts, readyKey } from './key';
import { nearMissOf } from './nearMiss';
import type { PhraseAnswer, PhraseQuestion } from './schema';

/** A key needs at least one variant that earns something. */
export const hasKey = (question: PhraseQuestion): boolean =>
  question.variants.some(
    (variant) => variant.credit.n > 0 && variant.forms.some((form) => form.trim() !== ''),
  );

/** An answer that matches nothing here and is accepted in another question of the quiz, by that one's settings. */
function rightElsewhere(
  question: PhraseQuestion,
  answer: PhraseAnswer,
  { language, others = [] }: MarkingContext,
): 'otherQuestion' | null {
  const texts = new AnswerTexts(answer.text, language);
  const right = others.some(
    (other) =>
      other.kind === 'phrase' &&
      other.id !== question.id &&
      (decide(readyKey(other, language), texts)?.credit.n ?? 0) > 0,
  );
  return right ? 'otherQuestion' : null;
}

/** Compares a typed answer with the key: see `docs/marking.md`, text. */
export function mark(question: PhraseQuestion, answer: PhraseAnswer | null, context: MarkingContext): Mark {
  if (!answer || isBlankText(answer.text, question.settings)) return BLANK;
  if (!hasKey(question)) return WAITS;
  const key = readyKey(question, context.language);
  const texts = new AnswerTexts(answer.text, context.language);
  const match = decide(key, texts);
  if (!match) return unmatched(question, nearMissOf(key, texts) ?? rightElsewhere(question, answer, context));
  const { variant } = match.variant;
  return markOf(question, match.credit, {
    keyCredit: variant.credit,
    rule: variant.id,
    own: variant.feedback,
    errors: match.errors,
    contradiction: contradicts(key, texts),
  });
}

function unmatched(question: PhraseQuestion, nearMiss: Mark['nearMiss']): Mark {
  const waits =
    question.unmatched === 'waits' || (question.unmatched === 'nearMissesWait' && nearMiss !== null);
  if (waits) return { ...WAITS, nearMiss };
  return markOf(question, ZERO, { nearMiss });
}

/** The lowest credit among the variants. */
export const lowestCredit = (question: PhraseQuestion): Fraction =>
  question.variants.reduce((low, { credit }) => smaller(low, credit), ZERO);

export function bestCredit(question: PhraseQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  return question.variants.reduce(
    (best, { credit }) => (credit.n * best.d > best.n * credit.d ? credit : best),
    ZERO,
  );
}
