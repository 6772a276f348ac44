import type { MarkingContext, NearMiss, OtherQuestion } from '../../../marks/mark';
import { contradicts, decide, decision, type Match } from './decide';
import { nearMissOf } from './nearMiss';
import { AnswerTexts, readingKey, readyKey, type TextReading } from './ready';
import type { TextKey, Unmatched } from './schema';

/** A key needs at least one variant that earns something. */
export const hasTextKey = (question: TextKey): boolean =>
  question.variants.some(
    (variant) => variant.credit.n > 0 && variant.forms.some((form) => form.trim() !== ''),
  );

/** True for a question that is itself answered by one text. */
const readsText = (one: OtherQuestion): one is OtherQuestion & TextKey =>
  'variants' in one && 'settings' in one;

/** Which questions of a list accept a text: the same texts are asked for again and again. */
const acceptedBy = new WeakMap<readonly OtherQuestion[], Map<string, readonly string[]>>();
const MOST_KEPT = 20_000;

function acceptingQuestions(
  text: string,
  reading: TextReading,
  questions: readonly OtherQuestion[],
): readonly string[] {
  const kept = acceptedBy.get(questions) ?? new Map<string, readonly string[]>();
  acceptedBy.set(questions, kept);
  const key = `${readingKey(reading)} ${text}`;
  const known = kept.get(key);
  if (known) return known;
  const texts = new AnswerTexts(text, reading.language);
  const found = questions
    .filter((one) => readsText(one) && (decide(readyKey(one, reading), texts)?.credit.n ?? 0) > 0)
    .map(({ id }) => id);
  if (kept.size < MOST_KEPT) kept.set(key, found);
  return found;
}

/** An answer that matches nothing here and is accepted in another question of the quiz, by that one's settings. */
export const rightElsewhere = (
  text: string,
  id: string,
  { language, words, others = [] }: MarkingContext,
): NearMiss | null =>
  acceptingQuestions(text, { language, words }, others).some((other) => other !== id)
    ? 'otherQuestion'
    : null;

/** How a typed text was judged by a key of variants. */
export interface TextVerdict {
  readonly match: Match | null;
  readonly contradiction: boolean;
  readonly nearMiss: NearMiss | null;
}

/** Compares a typed text with a key; `id` is the question's, which is not searched as another one. */
export function judgeText(textKey: TextKey, text: string, id: string, context: MarkingContext): TextVerdict {
  const key = readyKey(textKey, context);
  const texts = new AnswerTexts(text, context.language);
  const { match, refused } = decision(key, texts);
  if (match) return { match, contradiction: contradicts(key, texts), nearMiss: null };
  return {
    match,
    contradiction: false,
    nearMiss: refused ?? nearMissOf(key, texts, context.decimalSign) ?? rightElsewhere(text, id, context),
  };
}

/** True where an answer that matched nothing waits for the teacher. */
export const unmatchedWaits = (rule: Unmatched, nearMiss: NearMiss | null): boolean =>
  rule === 'waits' || (rule === 'nearMissesWait' && nearMiss !== null);
