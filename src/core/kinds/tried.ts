import type { UnitRule } from '../answers/number/schema';
import type { TextSettings, WayOfMatching } from '../answers/text/settings';
import { NO_RULES } from '../content/questionRules';
import { SILENCE } from '../content/silence';
import { ONE, ZERO } from '../figures/fraction';
import { number } from './number';
import { phrase } from './phrase';
import { newVariant } from './shared/textKey/newVariant';
import type { Answer, Question } from './index';

/** Questions of one right answer, made to try on what a typed answer is compared as. Nobody sits them. */

const bare = { id: 'tried', text: [], right: SILENCE, partly: SILENCE, wrong: SILENCE, explanation: '', ...NO_RULES }; // prettier-ignore

/** How a typed text is compared with the right one. */
export interface TriedWords {
  readonly settings: TextSettings;
  readonly match: WayOfMatching;
}

export const questionOfWords = (right: string, { settings, match }: TriedWords): Question => ({
  ...bare,
  ...phrase.create(() => 'v'),
  settings,
  variants: [{ ...newVariant('v', right, ONE), match }],
});

/** A number that is right exactly; with a unit it is asked for, else none is. */
export const questionOfNumbers = (right: string, unit: string): Question => {
  const rule: UnitRule =
    unit === ''
      ? { kind: 'none' }
      : { kind: 'required', units: [{ names: [unit], factor: '1' }], missing: ZERO, unknown: ZERO };
  return { ...bare, ...number.create(() => 'n'), key: right, unit: rule };
};

/** An answer to such a question, as it was typed. */
export const typedAnswer = (question: Question, text: string): Answer =>
  ({ kind: question.kind, text }) as Answer;
