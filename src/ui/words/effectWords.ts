import { plural } from '@/core/figures/plural';
import { gainOf, maximumMoves, type ScoreChange } from '@/core/checking/gain';
import { compare, divide, type Fraction } from '@/core/figures/fraction';
import type { Pending } from '@/workers/classDesk';
import { count, percent, points } from './figures';

type Counts = Pick<Pending, 'up' | 'down' | 'unchanged' | 'waitedInVain' | 'willWait'>;

/** How many go up, down, or stay; whose answers will wait no more, or will. */
export function effectWords({ up, down, unchanged, waitedInVain, willWait }: Counts): string {
  const parts = [
    up > 0 ? `${count(up, 'score')} ${plural(up, 'goes', 'go')} up` : '',
    down > 0 ? `${count(down, 'score')} ${plural(down, 'goes', 'go')} down` : '',
    waitedInVain > 0 ? `${count(waitedInVain, 'student')} with no points for what was not marked yet` : '',
    willWait > 0 ? `${count(willWait, 'student')} with more for you to mark` : '',
  ].filter(Boolean);
  return parts.length === 0
    ? 'No score changes'
    : `${parts.join(', ')}, ${unchanged} ${plural(unchanged, 'stays', 'stay')}`;
}

/** What moves for one student, as it is written. */
export function changeWords(change: ScoreChange) {
  const { before, after, outOfBefore, outOfAfter, waitingBefore, waitingAfter } = change;
  const gain = gainOf(change);
  const moves = maximumMoves(change);
  const score = (value: Fraction, outOf: Fraction) =>
    `${points(value)} of ${points(outOf)}${moves && outOf.n > 0 ? ` (${percent(divide(value, outOf))})` : ''}`;
  return {
    before: moves ? score(before, outOfBefore) : points(before),
    after: score(after, outOfAfter),
    gain: `${gain.n > 0 ? '+' : ''}${moves ? percent(gain) : points(gain)}`,
    waiting: waitingAfter.n > 0 ? points(waitingAfter) : '',
    /** Points that waited and will not any more, where nothing else shows that. */
    waited: gain.n === 0 && compare(waitingBefore, waitingAfter) > 0 ? points(waitingBefore) : '',
  };
}
