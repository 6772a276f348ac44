import type { AspectPlan } from '../quiz/plan/plan';
import type { verdictOfScore } from '../scoring/scoreQuestion';

type Verdict = ReturnType<typeof verdictOfScore>;

/** Whether a question with such a score is among those that an aspect speaks of: one that still waits is not, until it is marked. */
export const isOfFilter = (only: AspectPlan['only'], verdict: Verdict): boolean =>
  only === 'all' || verdict === 'wrong' || verdict === 'partly' || verdict === 'blank';
