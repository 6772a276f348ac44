import { daysLater } from '@/core/figures/wallClock';
import { isFinished } from '@/core/quiz/times/window';
import type { SittingAct } from '@/core/sitting/acts';
import type { TrayRow } from '@/workers/classDesk';

/** What can be set before something is done for a student. */
export interface Given {
  /** Minutes more on the clock. */
  readonly minutes: number;
  /** An instant until which the student can sit. */
  readonly until: number;
}

const HOUR = 3_600_000;

/** Tomorrow at the time at which the quiz closes for the student; where it has no end, a day from now on the hour. */
export function tomorrow({ until }: Pick<TrayRow, 'until'>, now: number, zone: string): number {
  const from = until ?? Math.ceil(now / HOUR) * HOUR;
  let at = daysLater(from, 1, zone);
  for (let days = 2; at <= now + HOUR; days++) at = daysLater(from, days, zone);
  return at;
}

/** An act with whether an end must be set with it, as the window is over. */
export interface Offer {
  readonly act: SittingAct;
  /** True where the act uses the minutes, or the end, that can be set. */
  readonly uses: 'minutes' | 'until' | 'both' | 'none';
}

/** What can be done for a student as things stand, the likeliest first. */
export function offersFor(row: TrayRow, { minutes, until }: Given, now: number): Offer[] {
  const running = row.state === 'working';
  const done = isFinished(row.state);
  const isOver = row.until !== null && row.until <= now;
  // Within the window an attempt ends with it; beyond it an end is set with the act.
  const end = isOver ? until : null;
  const offers: Offer[] = [];
  if (row.lockedSince !== null) offers.push({ act: { act: 'letGoOn' }, uses: 'none' });
  if (row.timeLimit !== null && !done) offers.push({ act: { act: 'moreMinutes', minutes }, uses: 'minutes' });
  // A later end is of use to those who are working, or have an attempt left.
  if (running || row.left !== 0) offers.push({ act: { act: 'later', until }, uses: 'until' });
  if (running) offers.push({ act: { act: 'collect' }, uses: 'none' });
  if (done && row.source === 'sat') {
    const uses = row.timeLimit === null ? (isOver ? 'until' : 'none') : isOver ? 'both' : 'minutes';
    offers.push({ act: { act: 'giveBack', minutes, until: end }, uses });
  }
  const uses = isOver ? 'until' : 'none';
  if (row.left !== null) offers.push({ act: { act: 'oneMore', until: end }, uses });
  if (row.attempts > 0) offers.push({ act: { act: 'startAgain', until: end }, uses });
  return offers;
}

/** The act after which the student can sit longest: what others could tell is worked out for it. */
export const longestOf = ({ until }: Given, row: TrayRow): SittingAct =>
  row.left === 0
    ? { act: 'oneMore', until: Math.max(until, row.until ?? 0) }
    : { act: 'later', until: Math.max(until, row.until ?? 0) };
