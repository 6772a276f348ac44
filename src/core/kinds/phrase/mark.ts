import { isBlankText } from '../../answers/text/prepare';
import { ONE, smaller, ZERO, type Fraction } from '../../figures/fraction';
import type { Question } from '..';
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

/** Which questions of a list accept a text: the same texts are asked for again and again. */
const acceptedBy = new WeakMap<readonly Question[], Map<string, readonly string[]>>();
const MOST_KEPT = 20_000;

function acceptingQuestions(
  text: string,
  language: string,
  questions: readonly Question[],
): readonly string[] {
  const kept = acceptedBy.get(questions) ?? new Map<string, readonly string[]>();
  acceptedBy.set(questions, kept);
  const key = `${language} ${text}`;
  const known = kept.get(key);
  if (known) return known;
  const texts = new AnswerTexts(text, language);
  const found = questions
    .filter((one) => one.kind === 'phrase' && (decide(readyKey(one, language), texts)?.credit.n ?? 0) > 0)
    .map(({ id }) => id);
  if (kept.size < MOST_KEPT) kept.set(key, found);
  return found;
}

/** An answer that matches nothing here and is accepted in another question of the quiz, by that one's settings. */
export const rightElsewhere = (
  text: string,
  id: string,
  { language, others = [] }: MarkingContext,
): NearMiss | null =>
  acceptingQuestions(text, language, others).some((other) => other !== id) ? 'otherQuestion' : null;

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

/** True where an answer can earn something: by the key, or by the teacher's hand where anything else waits. */
export const hasWay = (question: PhraseQuestion): boolean =>
  hasKey(question) || question.unmatched === 'waits';

export function bestCredit(question: PhraseQuestion): Fraction | null {
  if (question.unmatched === 'waits') return ONE;
  if (!hasKey(question)) return null;
  return question.variants.reduce(
    (best, { credit }) => (credit.n * best.d > best.n * credit.d ? credit : best),
    ZERO,
  );
}
