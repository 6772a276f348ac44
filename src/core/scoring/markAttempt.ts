import { valueAt } from '../figures/valueAt';
import { isAnswerTo, kindOf, type Answer, type Question } from '../kinds';
import { pointsOf } from '../quiz/points';
import { placementIn } from '../quiz/paper';
import type { Paper } from '../quiz/quiz';
import type { Override } from '../quiz/work/override';
import { WAITS, type Mark, type MarkingContext } from '../marks/mark';
import { contextOf } from './context';
import { rulesOf, scoreQuestion, type QuestionScore, type ScoringRules } from './scoreQuestion';

/** Marks one answer by its question's key. A pure function of question, answer and context. */
export function markAnswer(question: Question, answer: Answer | null, context: MarkingContext): Mark {
  if (answer && !isAnswerTo(question, answer)) return WAITS;
  return kindOf(question).mark(question, answer, context);
}

/** True where an answer, or a part of it, matched nothing and is near nothing in its own question's key. */
const isUnexplained = ({ rule, nearMiss, state }: Pick<Mark, 'rule' | 'nearMiss' | 'state'>): boolean =>
  state !== 'blank' && rule === null && nearMiss === null;

/**
 * The mark of an answer once the quiz's other questions are looked at, from the mark that its own question gives: a
 * near miss may be right for another one. Kept apart, as marks by the own key alone hold as long as that key.
 */
export function markAmongOthers(
  mark: Mark,
  question: Question,
  answer: Answer | null,
  context: MarkingContext,
): Mark {
  if (!answer || !kindOf(question).readsOthers || !context.others?.some(({ id }) => id !== question.id))
    return mark;
  const open = mark.parts.length > 0 ? mark.parts.some(isUnexplained) : isUnexplained(mark);
  if (!open) return mark;
  // A kept mark may be one by earlier rules: only what was looked for here is taken over.
  const among = markAnswer(question, answer, context);
  return [among, ...among.parts].some(({ nearMiss }) => nearMiss === 'otherQuestion') ? among : mark;
}

/** Marks what should be an answer but may be anything, such as a file's JSON: what cannot be read waits. */
export function markAnything(question: Question, answer: unknown, context: MarkingContext): Mark {
  if (answer === null || answer === undefined) return markAnswer(question, null, context);
  const read = kindOf(question).answer.safeParse(answer);
  return read.success ? markAnswer(question, read.data, context) : WAITS;
}

/** Which hints a student was shown, by question. */
export type HintsShown = Readonly<Record<string, readonly string[]>>;

/** The rules by which a question of a paper is scored, with the hints that were shown. */
export const rulesIn = (paper: Paper, question: Question, hints: readonly string[] = []): ScoringRules =>
  rulesOf(question, paper.content, {
    points: pointsOf(question, paper),
    standing: placementIn(paper, question.id).standing,
    hints,
  });

/** Scores one marked answer by its question's rules. */
export const scoreMark = (
  mark: Mark,
  question: Question,
  paper: Paper,
  override: Override | null = null,
  hints: readonly string[] = [],
): QuestionScore => scoreQuestion(mark, rulesIn(paper, question, hints), override);

/** Marks a whole attempt: each question's score in the paper's order. */
export function markAttempt(
  paper: Paper,
  answers: Readonly<Record<string, Answer>>,
  overrides: Readonly<Record<string, Override>> = {},
  hints: HintsShown = {},
): QuestionScore[] {
  return paper.questions.map((question) =>
    scoreMark(
      markAnswer(question, valueAt(answers, question.id) ?? null, contextOf(paper, question)),
      question,
      paper,
      valueAt(overrides, question.id) ?? null,
      valueAt(hints, question.id) ?? [],
    ),
  );
}
