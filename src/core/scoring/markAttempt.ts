import { isAnswerTo, kindOf, type Answer, type Question } from '../kinds';
import { isInMaximum, pointsOf } from '../quiz/points';
import type { Paper, QuizContent } from '../quiz/quiz';
import { add, multiply, ONE, ZERO, type Fraction } from '../figures/fraction';
import type { Override } from '../quiz/override';
import { WAITS, type Mark, type MarkingContext } from '../marks/mark';
import { rulesOf, scoreQuestion, type QuestionScore } from './scoreQuestion';

/** How answers are read in a quiz, without its other questions. */
export const readingOf = ({ language, decimalSign }: QuizContent): MarkingContext => ({
  language,
  decimalSign,
});

/** Made once for each paper, which never changes. */
const contexts = new WeakMap<Paper, MarkingContext>();

/** Everything of a quiz that marking one of its questions may ask for. */
export function contextOf(paper: Paper): MarkingContext {
  const known = contexts.get(paper);
  if (known) return known;
  const others = paper.questions.filter((question) => kindOf(question).isReadByOthers);
  const context = { ...readingOf(paper.content), others };
  contexts.set(paper, context);
  return context;
}

/** The same for contexts in which every answer is marked alike. */
export const contextKey = ({ language, decimalSign }: MarkingContext): string => `${language} ${decimalSign}`;

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
  return open ? markAnswer(question, answer, context) : mark;
}

/** Marks what should be an answer but may be anything, such as a file's JSON: what cannot be read waits. */
export function markAnything(question: Question, answer: unknown, context: MarkingContext): Mark {
  if (answer === null || answer === undefined) return markAnswer(question, null, context);
  const read = kindOf(question).answer.safeParse(answer);
  return read.success ? markAnswer(question, read.data, context) : WAITS;
}

/** Which hints a student was shown, by question. */
export type HintsShown = Readonly<Record<string, readonly string[]>>;

/** Scores one marked answer by its question's rules. */
export const scoreMark = (
  mark: Mark,
  question: Question,
  content: QuizContent,
  override: Override | null = null,
  hints: readonly string[] = [],
): QuestionScore => scoreQuestion(mark, rulesOf(question, pointsOf(question, content), hints), override);

/** Marks a whole attempt: each question's score in the paper's order. */
export function markAttempt(
  paper: Paper,
  answers: Readonly<Record<string, Answer>>,
  overrides: Readonly<Record<string, Override>> = {},
  hints: HintsShown = {},
): QuestionScore[] {
  const context = contextOf(paper);
  return paper.questions.map((question) =>
    scoreMark(
      markAnswer(question, answers[question.id] ?? null, context),
      question,
      paper.content,
      overrides[question.id] ?? null,
      hints[question.id] ?? [],
    ),
  );
}

/** The best possible paper: every question that is in the maximum answered for the most its key gives. */
export function bestPossible(paper: Paper): { best: Fraction; outOf: Fraction; missing: string[] } {
  let best = ZERO;
  let outOf = ZERO;
  const missing: string[] = [];
  for (const question of paper.questions.filter(isInMaximum)) {
    const given = question.standing !== 'counts';
    const credit = given ? ONE : kindOf(question).bestCredit(question);
    const points = pointsOf(question, paper.content);
    best = add(best, multiply(credit ?? ZERO, points));
    outOf = add(outOf, points);
    if (points.n > 0 && (credit === null || credit.n < credit.d)) missing.push(question.id);
  }
  return { best, outOf, missing };
}
