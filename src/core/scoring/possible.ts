import { add, larger, multiply, ONE, smaller, ZERO, type Fraction } from '../figures/fraction';
import { kindOf, type Question } from '../kinds';
import { placementIn } from '../quiz/paper';
import { isInMaximum, pointsOf } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import { rulesIn } from './markAttempt';
import { lowestPoints } from './scoreQuestion';

/** The best and the worst paper that can be handed in, as its keys and rules are. */

/** Whether what the key does not earn can still be earned by the teacher's own hand. */
const isReachableByHand = (question: Question): boolean =>
  kindOf(question).about.marks === 'byHand' || ('unmatched' in question && question.unmatched === 'waits');

interface Best {
  readonly best: Fraction;
  readonly outOf: Fraction;
  /** Questions of which no answer can earn everything. */
  readonly missing: string[];
  /** Of the best, points that come only by the teacher's own hand. */
  readonly byHand: Fraction;
}

/**
 * Every question that is in the maximum answered for the most that its key gives, or that the teacher can give where
 * answers that nothing matches wait.
 */
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
    const short = credit.n < credit.d;
    if (given || !isReachableByHand(question)) best = add(best, multiply(credit, points));
    else {
      best = add(best, points);
      if (short || kindOf(question).about.marks === 'byHand') byHand = add(byHand, points);
    }
    if (points.n > 0 && short && !isReachableByHand(question)) missing.push(question.id);
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
