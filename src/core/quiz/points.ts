import { sum, type Fraction } from '../figures/fraction';
import type { Question } from '../kinds';
import type { Paper, QuizContent } from './quiz';

/** Points of a question: its own, else the quiz's default. */
export const pointsOf = (question: Question, content: QuizContent): Fraction =>
  question.points ?? content.defaultPoints;

/** Whether a paper can be handed in without an answer to this question. */
export const mustAnswer = (question: Question, content: QuizContent): boolean =>
  question.mustAnswer ?? content.mustAnswer;

/** All points of the paper. */
export const pointsOfPaper = (paper: Paper): Fraction =>
  sum(paper.questions.map((question) => pointsOf(question, paper.content)));
