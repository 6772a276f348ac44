import { add, larger, multiply, ONE, smaller, ZERO, type Fraction } from '../figures/fraction';
import { kindOf } from '../kinds';
import { placementIn } from '../quiz/paper';
import { isInMaximum, pointsOf } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import { rulesIn } from './markAttempt';
import { lowestPoints } from './scoreQuestion';

/** The best and the worst paper that can be handed in, as its keys and rules are. */

interface Best {
  readonly best: Fraction;
  readonly outOf: Fraction;
  /** Questions of which no answer can earn everything. */
  readonly missing: string[];
  /** Of the best, points of questions that the teacher marks. */
  readonly byHand: Fraction;
}

/** Every question that is in the maximum answered for the most that its key or the teacher's own hand can give. */
export function bestPossible(paper: Paper): Best {
  let [best, outOf, byHand] = [ZERO, ZERO, ZERO];
  const missing: string[] = [];
  for (const question of paper.questions) {
    const placement = placementIn(paper, question.id);
    if (!isInMaximum(placement)) continue;
    const points = pointsOf(question, paper);
    outOf = add(outOf, points);
    const given = placement.standing !== 'counts';
    const credit = given ? ONE : (kindOf(question).bestCredit(question) ?? ZERO);
    best = add(best, multiply(credit, points));
    if (!given && kindOf(question).about.marks === 'byHand') byHand = add(byHand, multiply(credit, points));
    if (points.n > 0 && credit.n < credit.d) missing.push(question.id);
  }
  return { best, outOf, missing, byHand };
}

/** Every question that is in the maximum answered for the least that its rules give; not below the quiz's own floor. */
export function worstPossible(paper: Paper): Fraction {
  let worst = ZERO;
  for (const question of paper.questions) {
    const { standing } = placementIn(paper, question.id);
    if (standing === 'given' || standing === 'givenToAnswered') worst = add(worst, pointsOf(question, paper));
    else if (standing === 'counts') worst = add(worst, smaller(ZERO, lowestPoints(rulesIn(paper, question))));
  }
  return paper.content.scoring.floor ? larger(ZERO, worst) : worst;
}
