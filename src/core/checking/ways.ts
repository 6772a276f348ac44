import { add, compare, divide, multiply, ZERO, type Fraction } from '../figures/fraction';
import { kindOf, type Answer, type Question } from '../kinds';
import type { Placed } from '../quiz/placement';
import type { Paper } from '../quiz/quiz';
import { contextOf, paperAround } from '../scoring/context';
import { markAnswer, scoreMark } from '../scoring/markAttempt';

/** An answer, and how many gave it; null is no answer. */
export interface Given {
  readonly answer: Answer | null;
  readonly times: number;
}

/** What answers earn by the rules of a question, before any score of the teacher's own. */
export interface Earned {
  /** Mean points; null where nothing is marked. */
  readonly mean: Fraction | null;
  /** How many earn how many points, the fewest points first. */
  readonly spread: readonly { readonly points: Fraction; readonly times: number }[];
  /** How many wait, and are in neither. */
  readonly waiting: number;
}

/** The points of each answer by the rules of a question; null where it waits. */
function pointsOfEach({ question }: Placed, paper: Paper, given: readonly Given[]): (Fraction | null)[] {
  const context = contextOf(paper, question);
  return given.map(({ answer }) => scoreMark(markAnswer(question, answer, context), question, paper).marked);
}

function earnedFrom(each: readonly (Fraction | null)[], given: readonly Given[]): Earned {
  const byPoints = new Map<string, { points: Fraction; times: number }>();
  let [total, marked, waiting] = [ZERO, 0, 0];
  each.forEach((points, at) => {
    const times = given[at]?.times ?? 0;
    if (points === null) {
      waiting += times;
      return;
    }
    const key = `${points.n}/${points.d}`;
    byPoints.set(key, { points, times: (byPoints.get(key)?.times ?? 0) + times });
    total = add(total, multiply(points, { n: times, d: 1 }));
    marked += times;
  });
  return {
    mean: marked === 0 ? null : divide(total, { n: marked, d: 1 }),
    spread: [...byPoints.values()].sort((a, b) => compare(a.points, b.points)),
    waiting,
  };
}

/** Another way of giving part of the points, and whom it would move. */
export interface ComparedWay {
  readonly words: string;
  readonly question: Question;
  readonly isNow: boolean;
  readonly mean: Fraction | null;
  /** How many would earn more or less than now. */
  readonly higher: number;
  readonly lower: number;
}

/** What given answers earn now, and what they would by each of the question's ways of giving part of the points. */
export function compareWays(
  placed: Placed,
  paper: Paper,
  given: readonly Given[],
): { readonly given: readonly Given[]; readonly now: Earned; readonly ways: readonly ComparedWay[] } {
  const around = (question: Question): Paper => paperAround(paper, { ...placed, question });
  const each = pointsOfEach(placed, around(placed.question), given);
  const ways = kindOf(placed.question)
    .ways(placed.question)
    .map(({ words, question, isNow }): ComparedWay => {
      const theirs = isNow ? each : pointsOfEach({ ...placed, question }, around(question), given);
      const moved = (sign: number): number =>
        theirs.reduce((sum, points, at) => {
          const now = each[at];
          const moves = points && now && Math.sign(compare(points, now)) === sign;
          return sum + (moves ? (given[at]?.times ?? 0) : 0);
        }, 0);
      return {
        words,
        question,
        isNow,
        mean: earnedFrom(theirs, given).mean,
        higher: moved(1),
        lower: moved(-1),
      };
    });
  return { given, now: earnedFrom(each, given), ways };
}
