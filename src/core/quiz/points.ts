import { sum, ZERO, type Fraction } from '../figures/fraction';
import { kindOf, type Question } from '../kinds';
import type { Paper, QuizContent } from './quiz';

/** Points of a question: its own, else the quiz's default. */
export const pointsOf = (question: Question, content: QuizContent): Fraction =>
  kindOf(question).asks ? (question.points ?? content.defaultPoints) : ZERO;

/** Whether a paper can be handed in without an answer to this question. */
export const mustAnswer = (question: Question, content: QuizContent): boolean =>
  question.mustAnswer ?? content.mustAnswer;

/** True for a question whose points are in the maximum: bonus, left-out and unmarked questions are not. */
export const isInMaximum = ({ standing }: Question): boolean =>
  standing === 'counts' || standing === 'given' || standing === 'givenToAnswered';

/** All points of the paper that are in its maximum. */
export const pointsOfPaper = (paper: Paper): Fraction =>
  sum(paper.questions.filter(isInMaximum).map((question) => pointsOf(question, paper.content)));

/** Out of how many points scores of the paper are given: the quiz's scale, else the paper's own points. */
export const outOfPaper = (paper: Paper): Fraction => {
  const own = pointsOfPaper(paper);
  return own.n === 0 ? own : (paper.content.scoring.outOf ?? own);
};
