import { isAnswerTo, kindOf, type Answer, type Question } from '../kinds';
import { pointsOf } from '../quiz/points';
import { paperFrom, placedIn, placementIn } from '../quiz/paper';
import type { Placed } from '../quiz/placement';
import type { Paper, QuizContent } from '../quiz/quiz';
import type { Override } from '../quiz/override';
import { WAITS, type Mark, type MarkingContext } from '../marks/mark';
import { rulesOf, scoreQuestion, type QuestionScore, type ScoringRules } from './scoreQuestion';

/** What says how answers are read: a quiz, or a question for its own answers, where null is as the quiz has it. */
type Reading = Pick<QuizContent, 'language' | 'decimalSign' | 'negativeCredit'>;
type OwnReading = Pick<Question, 'language' | 'decimalSign'>;

/** How answers to a question are read in a quiz, without its other questions. */
export const readingOf = (question: OwnReading, content: Reading): MarkingContext => ({
  language: question.language ?? content.language,
  decimalSign: question.decimalSign ?? content.decimalSign,
  negativeCredit: content.negativeCredit,
});

/** Made once for each paper, which never changes. */
const contexts = new WeakMap<Paper, MarkingContext>();

function contextOfPaper(paper: Paper): MarkingContext {
  const known = contexts.get(paper);
  if (known) return known;
  const others = paper.questions.filter((question) => kindOf(question).isReadByOthers);
  const { language, decimalSign, negativeCredit } = paper.content;
  const context = { language, decimalSign, negativeCredit, others };
  contexts.set(paper, context);
  return context;
}

/** Everything of a quiz that marking one of its questions may ask for. */
export function contextOf(paper: Paper, question: OwnReading): MarkingContext {
  const context = contextOfPaper(paper);
  const asTheQuiz = question.language === null && question.decimalSign === null;
  return asTheQuiz ? context : { ...context, ...readingOf(question, paper.content) };
}

/**
 * What of a paper is asked for when one of its questions is marked: that question as it is given here, which may be newer
 * than the paper's, and those whose keys are tried too.
 */
export function paperAround(paper: Paper, placed: Placed): Paper {
  const { question } = placed;
  const { readsOthers } = kindOf(question);
  const others = placedIn(paper).filter(
    (one) => one.question.id !== question.id && readsOthers && kindOf(one.question).isReadByOthers,
  );
  return paperFrom(paper.content, [placed, ...others]);
}

/** The same for contexts in which every answer is marked alike. */
export const contextKey = ({ language, decimalSign, negativeCredit }: MarkingContext): string =>
  `${language} ${decimalSign}${negativeCredit ? ' below 0' : ''}`;

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
      markAnswer(question, answers[question.id] ?? null, contextOf(paper, question)),
      question,
      paper,
      overrides[question.id] ?? null,
      hints[question.id] ?? [],
    ),
  );
}
