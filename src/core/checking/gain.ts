import { divide, equal, subtract, ZERO, type Fraction } from '../figures/fraction';

/** One student's recorded score under two revisions. */
export interface ScoreChange {
  readonly studentId: string;
  readonly before: Fraction;
  readonly after: Fraction;
  readonly outOfBefore: Fraction;
  readonly outOfAfter: Fraction;
  readonly waitingBefore: Fraction;
  readonly waitingAfter: Fraction;
}

const shareOf = (score: Fraction, outOf: Fraction): Fraction => (outOf.n === 0 ? ZERO : divide(score, outOf));

type Gain = Pick<ScoreChange, 'before' | 'after' | 'outOfBefore' | 'outOfAfter'>;

/** True where the two scores are out of different maxima, so that only their shares can be compared. */
export const maximumMoves = ({ outOfBefore, outOfAfter }: Gain): boolean => !equal(outOfBefore, outOfAfter);

/**
 * By how much a student's recorded score rises, in points; where the maximum changes, as a share of it. Below 0 where it
 * falls.
 */
export const gainOf = (change: Gain): Fraction =>
  maximumMoves(change)
    ? subtract(shareOf(change.after, change.outOfAfter), shareOf(change.before, change.outOfBefore))
    : subtract(change.after, change.before);
