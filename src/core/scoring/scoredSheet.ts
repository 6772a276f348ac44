import type { Attempt } from '../quiz/work/attempt';
import type { NotCounted } from '../quiz/times/window';
import type { Lateness } from './lateness';
import type { QuestionScore } from './scoreQuestion';
import type { AttemptPath, Total } from './total';

/** One finished attempt, with whether it counts. */
export interface Sheet {
  readonly attempt: Attempt;
  readonly notCounted: NotCounted | null;
}

/** An attempt with its scores, and what turns their sum into its total. */
export interface ScoredSheet extends Sheet {
  readonly late: Lateness | null;
  readonly scores: readonly QuestionScore[];
  readonly path: AttemptPath;
  readonly total: Total;
}
