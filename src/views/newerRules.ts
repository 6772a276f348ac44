import { effectBetween, underPaper, type Effect } from '@/core/checking/effect';
import { equal, type Fraction } from '@/core/figures/fraction';
import { byNewestRules } from '@/core/quiz/paper';
import type { Override } from '@/core/quiz/work/override';
import type { QuestionScore } from '@/core/scoring/scoreQuestion';
import { now } from '@/device/clock';
import { keepScores, type Applied, type ShownState } from '@/store/quiz/revisions';
import { liveClass, type ClassPapers } from './papers';

/** What newer rules of comparing would do to a quiz whose answers are still compared by earlier ones. */

const underNewest = (live: ClassPapers) => underPaper(live.marked, byNewestRules(live.paper));

/** True where somebody's score, or one of the teacher's own, would differ by them. */
const moves = ({ changes, overrides }: Effect): boolean => changes.length > 0 || overrides.length > 0;

const known = new WeakMap<ClassPapers['marked'], boolean>();

/** Whether the newest rules of comparing would change any score of the class; worked out once for each state of it. */
export function newerRulesMove(live: ClassPapers): boolean {
  const found = known.get(live.marked);
  if (found !== undefined) return found;
  const made = moves(effectBetween(live.marked, underNewest(live)));
  known.set(live.marked, made);
  return made;
}

const REASON = 'Kept as it was before the rules of comparing became newer';

/** The points that stay: those that marking gave, where it gives others now and no own score stands. */
function pointsToKeep(before: QuestionScore, after: QuestionScore | undefined): Fraction | null {
  if (before.override || before.marked === null || before.marked.n < 0) return null;
  const isSame = after?.marked !== null && after !== undefined && equal(before.marked, after.marked);
  return isSame ? null : before.marked;
}

/** The scores that newer rules would change, as own scores of the teacher that say why they stand. */
function keptAsOwn(live: ClassPapers): Override[] {
  const after = underNewest(live);
  const at = now();
  return live.sheets.flatMap(({ attempt }) => {
    const then = after.scoresOf(attempt);
    return live.marked.scoresOf(attempt).flatMap((score, index): Override[] => {
      const points = pointsToKeep(score, then[index]);
      const questionId = live.paper.questions[index]?.id;
      if (points === null || questionId === undefined) return [];
      const gave = then[index]?.marked ?? null;
      return [{ quizId: live.quiz.id, attemptId: attempt.id, questionId, points, reason: REASON, at, gave }];
    });
  });
}

/** From now on the newest rules compare, and every score that they would change is kept. It can be undone. */
export async function keepScoresUnderNewerRules(quizId: string, shown: ShownState): Promise<Applied> {
  return keepScores(quizId, shown, keptAsOwn(await liveClass(quizId)));
}
