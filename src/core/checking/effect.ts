import { compare, subtract, type Fraction } from '../figures/fraction';

/** One student's recorded score under two revisions. */
export interface ScoreChange {
  readonly studentId: string;
  readonly before: Fraction | null;
  readonly after: Fraction;
  readonly waitingBefore: Fraction;
  readonly waitingAfter: Fraction;
}

/** What applying a change would do to everyone's recorded score. */
export interface Effect {
  readonly up: number;
  readonly down: number;
  readonly unchanged: number;
  /** Those whose score or waiting points change, largest rise first. */
  readonly changes: readonly ScoreChange[];
}

/** Sums up who goes up, who goes down and by how much. */
export function effectOf(scores: readonly ScoreChange[]): Effect {
  const direction = ({ before, after }: ScoreChange) => (before ? compare(after, before) : 0);
  const moved = scores.filter(
    (score) => direction(score) !== 0 || compare(score.waitingBefore, score.waitingAfter) !== 0,
  );
  const gain = ({ before, after }: ScoreChange) => (before ? subtract(after, before) : after);
  return {
    up: scores.filter((score) => direction(score) > 0).length,
    down: scores.filter((score) => direction(score) < 0).length,
    unchanged: scores.filter((score) => direction(score) === 0).length,
    changes: moved.sort((a, b) => compare(gain(b), gain(a))),
  };
}
