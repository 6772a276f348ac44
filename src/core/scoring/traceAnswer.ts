import { explainAnswer, type Answer, type Question } from '../kinds';
import type { Override } from '../quiz/work/override';
import { WAITS } from '../marks/mark';
import { carriesPoints } from '../quiz/placement';
import type { Paper } from '../quiz/quiz';
import { contextOf } from './context';
import { markAnswer, rulesIn } from './markAttempt';
import { traceQuestion } from './scoreQuestion';
import type { TraceLine } from '../marks/trace';

/** Every step by which one answer came to its points; the last line holds the points. */
export function traceAnswer(
  question: Question,
  answer: Answer | null,
  paper: Paper,
  override: Override | null = null,
  hints: readonly string[] = [],
): TraceLine[] {
  const rules = rulesIn(paper, question, hints);
  // Where nobody marks it, what the key would say decides nothing.
  if (!carriesPoints(rules)) return traceQuestion(WAITS, rules);
  const context = contextOf(paper, question);
  const mark = markAnswer(question, answer, context);
  return [
    ...explainAnswer(question, answer, override?.levels ? { ...context, levels: override.levels } : context),
    ...traceQuestion(mark, rules, override),
  ];
}
