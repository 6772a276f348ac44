import { isBlankText } from '../../answers/text/prepare';
import { ONE, smaller, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext } from '../../marks/mark';
import { markOf } from '../shared/makeMark';
import { hasTextKey, judgeText, unmatchedWaits } from '../shared/textKey/judge';
import type { PhraseAnswer, PhraseQuestion } from './schema';

/** Compares a typed answer with the key: see `docs/marking.md`, text. */
export function mark(question: PhraseQuestion, answer: PhraseAnswer | null, context: MarkingContext): Mark {
  if (!answer || isBlankText(answer.text, question.settings)) return BLANK;
  if (!hasTextKey(question)) return WAITS;
  const { match, nearMiss, contradiction, unsure } = judgeText(question, answer.text, question.id, context);
  if (!match) {
    if (unsure || unmatchedWaits(question.unmatched, nearMiss)) return { ...WAITS, nearMiss };
    return markOf(question, ZERO, { nearMiss });
  }
  const { variant } = match.variant;
  return markOf(question, match.credit, {
    keyCredit: variant.credit,
    rule: variant.id,
    own: variant.feedback,
    errors: match.errors,
    contradiction,
  });
}

/** The lowest credit among the variants. */
export const lowestCredit = (question: PhraseQuestion): Fraction =>
  question.variants.reduce((low, { credit }) => smaller(low, credit), ZERO);

/** True where an answer can earn something: by the key, or by the teacher's hand where anything else waits. */
export const hasWay = (question: PhraseQuestion): boolean =>
  hasTextKey(question) || question.unmatched === 'waits';

export function bestCredit(question: PhraseQuestion): Fraction | null {
  if (question.unmatched === 'waits') return ONE;
  if (!hasTextKey(question)) return null;
  return question.variants.reduce(
    (best, { credit }) => (credit.n * best.d > best.n * credit.d ? credit : best),
    ZERO,
  );
}
