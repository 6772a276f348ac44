import { isBlankText } from '../../answers/text/prepare';
import { smaller, ZERO, type Fraction } from '../../figures/fraction';
import { BLANK, WAITS, type Mark, type MarkingContext, type NearMiss } from '../../marking/mark';
import { markOf } from '../marks';
import { contradicts, decide, type Match } from './decide';
import { AnswerTexts, readyKey } from './key';
import { nearMissOf } from './nearMiss';
import type { PhraseAnswer, PhraseQuestion, TextKey, Unmatched } from './schema';

/** A key needs at least one variant that earns something. */
export const hasKey = (question: TextKey): boolean =>
  question.variants.some(
    (variant) => variant.credit.n > 0 && variant.forms.some((form) => form.trim() !== ''),
  );

/** An answer that matches nothing here and is accepted in another question of the quiz, by that one's settings. */
function rightElsewhere(
  text: string,
  id: string,
  { language, others = [] }: MarkingContext,
): NearMiss | null {
  const texts = new AnswerTexts(text, language);
  const right = others.some(
    (other) =>
      other.kind === 'phrase' &&
      other.id !== id &&
      (decide(readyKey(other, language), texts)?.credit.n ?? 0) > 0,
  );
  return right ? 'otherQuestion' : null;
}

/** How a typed text was judged by a key of variants. */
export interface TextVerdict {
  readonly match: Match | null;
  readonly contradiction: boolean;
  readonly nearMiss: NearMiss | null;
}

/** Compares a typed text with a key; `id` is the question's, which is not searched as another one. */
export function judgeText(textKey: TextKey, text: string, id: string, context: MarkingContext): TextVerdict {
  const key = readyKey(textKey, context.language);
  const texts = new AnswerTexts(text, context.language);
  const match = decide(key, texts);
  if (match) return { match, contradiction: contradicts(key, texts), nearMiss: null };
  return {
    match,
    contradiction: false,
    nearMiss: nearMissOf(key, texts) ?? rightElsewhere(text, id, context),
  };
}

/** True where an answer that matched nothing waits for the teacher. */
export const unmatchedWaits = (rule: Unmatched, nearMiss: NearMiss | null): boolean =>
  rule === 'waits' || (rule === 'nearMissesWait' && nearMiss !== null);

/** Compares a typed answer with the key: see `docs/marking.md`, text. */
export function mark(question: PhraseQuestion, answer: PhraseAnswer | null, context: MarkingContext): Mark {
  if (!answer || isBlankText(answer.text, question.settings)) return BLANK;
  if (!hasKey(question)) return WAITS;
  const { match, nearMiss, contradiction } = judgeText(question, answer.text, question.id, context);
  if (!match) {
    if (unmatchedWaits(question.unmatched, nearMiss)) return { ...WAITS, nearMiss };
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

export function bestCredit(question: PhraseQuestion): Fraction | null {
  if (!hasKey(question)) return null;
  return question.variants.reduce(
    (best, { credit }) => (credit.n * best.d > best.n * credit.d ? credit : best),
    ZERO,
  );
}
