import { valueAt } from '../figures/valueAt';
import { NO_SPREAD, spreadOf, type Spread } from '../checking/spread';
import type { Paper } from '../quiz/quiz';
import { contextOf } from '../scoring/context';
import { markAnswer, scoreMark } from '../scoring/markAttempt';
import { verdictOfScore } from '../scoring/scoreQuestion';
import { madeUpClass } from './class';

/** As many as sit in a usual class, all of them there. */
const STUDENTS = 26;
const SEED = 8;

/** The made-up class that stands in for one that has not answered yet; nobody is missing, nobody repeats. */
export const MADE_UP = { seed: SEED, students: STUDENTS, neverStart: 0, repeat: 0 };

/** How a made-up class would do on each question of a paper, by question; nobody is missing, nobody repeats. */
export function madeUpSpreads(paper: Paper): Record<string, Spread> {
  const attempts = [...madeUpClass(paper.questions, MADE_UP)];
  return Object.fromEntries(
    paper.questions.map((question) => {
      const context = contextOf(paper, question);
      const verdicts = attempts.map(({ answers }) =>
        verdictOfScore(
          scoreMark(markAnswer(question, valueAt(answers, question.id) ?? null, context), question, paper),
        ),
      );
      return [question.id, attempts.length === 0 ? NO_SPREAD : spreadOf(verdicts)];
    }),
  );
}
