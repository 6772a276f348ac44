import type { Ruling } from '../quiz/work/attempt';
import type { ScoredSheet } from '../scoring/scoredSheet';
import { verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import type { SeatAttempt } from './seat';
import type { Scene } from './whatIsShown';

type Marked = SeatAttempt['marked'];

/** Whether an answer waits for the teacher; in a question that adds nothing to the score, none does. */
const waits = (score: QuestionScore): boolean =>
  (score.standing === 'counts' || score.standing === 'bonus') && verdictOfScore(score) === 'waits';

/**
 * When nothing in a marked attempt waited for the teacher any more: the last own score given to an answer that waits by the
 * key; at the hand-in where none does; null while one still waits, of any standing.
 */
export function markedAt({ scores }: Pick<ScoredSheet, 'scores'>): Marked {
  let last = 0;
  for (const score of scores) {
    if (waits(score)) return null;
    if (score.override && score.mark.state === 'waits') last = Math.max(last, score.override.at);
  }
  return last === 0 ? 'atHandIn' : last;
}

/** The same where it was kept: what waits later takes nothing back. */
export const markedSince = (sheet: Pick<ScoredSheet, 'scores'>, ruling: Ruling | undefined): Marked =>
  ruling?.markedAt ?? markedAt(sheet);

/** Whether anything of a quiz's plans waits for marking. */
export const asksForMarks = ({ plan, ownPlans }: Pick<Scene, 'plan' | 'ownPlans'>): boolean =>
  plan.whileWaiting === 'heldBack' ||
  [plan.aspects, ...ownPlans.map(({ aspects }) => aspects)].some((aspects) =>
    Object.values(aspects).some(({ when }) => when !== 'never' && when.some((one) => one.when === 'marked')),
  );

/** Whether nothing waits in an attempt in a question that counts or is a bonus. */
export const isComplete = ({ scores }: Pick<ScoredSheet, 'scores'>): boolean =>
  scores.every((score) => !waits(score));
