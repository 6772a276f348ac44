import { gainOf, maximumMoves, type ScoreChange } from '@/core/checking/gain';
import { divide, type Fraction } from '@/core/figures/fraction';
import type { Pending } from '@/workers/classDesk';
import { count, percent, points } from './figures';

/** How many go up, down, or stay. */
export function effectWords({ up, down, unchanged }: Pick<Pending, 'up' | 'down' | 'unchanged'>): string {
  if (up + down === 0) return 'No score changes';
  const parts = [
    up > 0 ? `${count(up, 'student')} up` : '',
    down > 0 ? `${count(down, 'student')} down` : '',
  ];
  return `${parts.filter(Boolean).join(', ')}, ${unchanged} unchanged`;
}

/** What moves for one student, as it is written. */
export function changeWords(change: ScoreChange) {
  const { before, after, outOfBefore, outOfAfter, waitingAfter } = change;
  const gain = gainOf(change);
  const moves = maximumMoves(change);
  const score = (value: Fraction, outOf: Fraction) =>
    `${points(value)} of ${points(outOf)}${moves && outOf.n > 0 ? ` (${percent(divide(value, outOf))})` : ''}`;
  return {
    before: moves ? score(before, outOfBefore) : points(before),
    after: score(after, outOfAfter),
    gain: `${gain.n > 0 ? '+' : ''}${moves ? percent(gain) : points(gain)}`,
    waiting: waitingAfter.n > 0 ? points(waitingAfter) : '',
  };
}
