import { multiply, sum, ZERO, type Fraction } from '../figures/fraction';
import { kindOf, type Question } from '../kinds';
import { placementIn } from './paper';
import { carriesPoints, type MustAnswer, type Placed, type Placement } from './placement';
import type { Paper, QuizContent } from './quiz';

/** Points of a question as it is placed: its own there, else the quiz's default; for each of its parts, where it is set so; 0 where it carries none. */
export function pointsOfPlaced({ question, placement }: Placed, content: QuizContent): Fraction {
  const kind = kindOf(question);
  if (!kind.asks || !carriesPoints(placement)) return ZERO;
  const points = placement.points ?? content.defaultPoints;
  const parts = placement.perPart ? kind.partsOf(question) : null;
  return parts === null ? points : multiply(points, { n: parts, d: 1 });
}

/** Whether the teacher has still to say what is right; nobody has to where no points are carried. */
export const lacksKey = ({ question, placement }: Placed): boolean =>
  carriesPoints(placement) && !kindOf(question).hasKey(question);

/** Points of a question in a paper. */
export const pointsOf = (question: Question, paper: Paper): Fraction =>
  pointsOfPlaced({ question, placement: placementIn(paper, question.id) }, paper.content);

/** Whether a paper can be handed in without an answer to this question, or with a part of one. */
export const mustAnswer = (question: Question, paper: Paper): MustAnswer =>
  kindOf(question).asks ? (placementIn(paper, question.id).mustAnswer ?? paper.content.mustAnswer) : 'no';

/** The questions of a paper that ask for something; notes do not. */
export const askedIn = ({ questions }: Pick<Paper, 'questions'>): Question[] =>
  questions.filter((question) => kindOf(question).asks);

/** True for a placement whose points are in the maximum: bonus, left-out and unmarked questions are not. */
export const isInMaximum = ({ standing }: Placement): boolean =>
  standing === 'counts' || standing === 'given' || standing === 'givenToAnswered';

/** All points of the paper that are in its maximum. */
export const pointsOfPaper = (paper: Paper): Fraction =>
  sum(
    paper.questions
      .filter(({ id }) => isInMaximum(placementIn(paper, id)))
      .map((question) => pointsOf(question, paper)),
  );

/** Out of how many points scores of the paper are given: the quiz's scale, else the paper's own points. */
export const outOfPaper = (paper: Paper): Fraction => {
  const own = pointsOfPaper(paper);
  return own.n === 0 ? own : (paper.content.scoring.outOf ?? own);
};
