import { equal, type Fraction } from '../figures/fraction';
import { placedIn } from '../quiz/paper';
import type { Check, Placed } from '../quiz/placement';
import type { Paper } from '../quiz/quiz';
import { contextOf } from '../scoring/context';
import { markAnswer, scoreMark } from '../scoring/markAttempt';

/** Points that a check's answer earns now; while it waits, those it has so far. */
export const earnedByCheck = (check: Check, { question }: Placed, paper: Paper): Fraction =>
  scoreMark(markAnswer(question, check.answer, contextOf(paper, question)), question, paper).earned;

/** How many checks of each question are not met by its rules as they are; questions without one are not named. */
export function brokenChecks(paper: Paper): Record<string, number> {
  const broken: Record<string, number> = {};
  for (const placed of placedIn(paper)) {
    const failed = placed.placement.checks.filter(
      (check) => !equal(check.points, earnedByCheck(check, placed, paper)),
    );
    if (failed.length > 0) broken[placed.question.id] = failed.length;
  }
  return broken;
}
