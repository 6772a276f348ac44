import type { MarkingContext, NearMiss, OtherQuestion } from '../../../marks/mark';
import { contradicts, decide, decision, type Match } from './decide';
import { nearMissOf } from './nearMiss';
import { formErrors } from '../../../answers/text/matching/match';
import { AnswerTexts, readingKey, readyKey, type ReadyVariant, type TextReading } from './ready';
import type { TextKey, Unmatched } from './schema';

/** A key needs at least one variant that earns something. */
export const hasTextKey = (question: TextKey): boolean =>
  question.variants.some(
    (variant) => variant.credit.n > 0 && variant.forms.some((form) => form.trim() !== ''),
  );

/** True for a question that is itself answered by one text. */
const readsText = (one: OtherQuestion): one is OtherQuestion & TextKey =>
  'variants' in one && 'settings' in one;

/** Whether a question accepts a text: the same texts are asked for again and again, beside whatever other questions. */
const acceptedBy = new WeakMap<OtherQuestion, Map<string, boolean>>();
const MOST_KEPT = 20_000;

function accepts(question: OtherQuestion & TextKey, texts: AnswerTexts, reading: TextReading): boolean {
  const kept = acceptedBy.get(question) ?? new Map<string, boolean>();
  acceptedBy.set(question, kept);
  const key = `${readingKey(reading)} ${texts.source}`;
  const known = kept.get(key);
  if (known !== undefined) return known;
  const found = (decide(readyKey(question, reading), texts)?.credit.n ?? 0) > 0;
  if (kept.size < MOST_KEPT) kept.set(key, found);
  return found;
}

/** An answer that matches nothing here and is accepted in another question of the quiz, by that one's settings. */
export const rightElsewhere = (
  text: string,
  id: string,
  { language, words, others = [] }: MarkingContext,
): NearMiss | null => {
  const reading = { language, words };
  const texts = new AnswerTexts(text, language);
  return others.some((one) => one.id !== id && readsText(one) && accepts(one, texts, reading))
    ? 'otherQuestion'
    : null;
};

/** How a typed text was judged by a key of variants. */
export interface TextVerdict {
  readonly match: Match | null;
  readonly contradiction: boolean;
  readonly nearMiss: NearMiss | null;
  /** Errors that could pass, in a language without a list of words: the teacher decides, whatever the question says of others. */
  readonly unsure: boolean;
}

/** True where the answer would pass with its errors if there were a list to tell them from other words. */
export const isUnsure = (key: readonly ReadyVariant[], texts: AnswerTexts): boolean =>
  key.some(
    ({ unlisted, variant, settings, settingsKey, comparison, forms }) =>
      unlisted &&
      variant.credit.n > 0 &&
      forms.some(
        ({ form }) =>
          typeof formErrors(
            form,
            texts.under({ settings, settingsKey }),
            { ...comparison, errors: settings.typingErrors },
            false,
          ) === 'number',
      ),
  );

/** Compares a typed text with a key; `id` is the question's, which is not searched as another one. */
export function judgeText(textKey: TextKey, text: string, id: string, context: MarkingContext): TextVerdict {
  const key = readyKey(textKey, context);
  const texts = new AnswerTexts(text, context.language);
  const { match, refused, untried } = decision(key, texts);
  if (untried) return { match, contradiction: false, nearMiss: 'patternUntried', unsure: false };
  if (match) return { match, contradiction: contradicts(key, texts), nearMiss: null, unsure: false };
  return {
    match,
    contradiction: false,
    unsure: isUnsure(key, texts),
    nearMiss: refused ?? nearMissOf(key, texts, context.decimalSign) ?? rightElsewhere(text, id, context),
  };
}

/** True where an answer that matched nothing waits for the teacher. */
export const unmatchedWaits = (rule: Unmatched, nearMiss: NearMiss | null): boolean =>
  nearMiss === 'patternUntried' || rule === 'waits' || (rule === 'nearMissesWait' && nearMiss !== null);
