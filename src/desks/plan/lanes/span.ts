import { daysLater, instantAt, wallClock } from '@/core/figures/wallClock';
import type { PlanView } from '@/workers/classDesk';

const DAY = 86_400_000;

/** A stretch of time as the line shows it: from the beginning of a day to the end of one. */
export interface Span {
  readonly from: number;
  readonly to: number;
  /** The beginnings of days, as many as there is room to name. */
  readonly days: readonly number[];
}

const midnight = (at: number, zone: string): number => {
  const wall = wallClock(at, zone);
  return instantAt(wall - (wall % DAY), zone);
};

/** At most so many days are named on the line. */
const MOST_DAYS = 9;

/** From the first day on which anything opens to the last on which anything closes or comes; null where nothing has a time. */
export function spanOf({ lanes, now }: Pick<PlanView, 'lanes' | 'now'>, zone: string): Span | null {
  const times = lanes.flatMap(({ from, until, marks }) => [from, until, ...marks.map(({ at }) => at)]);
  const known = times.filter((at): at is number => at !== null);
  if (known.length === 0) return null;
  const from = midnight(Math.min(...known), zone);
  const last = Math.max(...known, Math.min(now, Math.max(...known)));
  const to = daysLater(midnight(last, zone), 1, zone);
  const count = Math.round((to - from) / DAY);
  const step = Math.max(1, Math.ceil(count / MOST_DAYS));
  const days = Array.from({ length: Math.ceil(count / step) }, (_, at) => daysLater(from, at * step, zone));
  return { from, to, days };
}

/** Where an instant lies on the line: percent from its beginning. */
export const placeOf = ({ from, to }: Span, at: number): number =>
  Math.min(100, Math.max(0, ((at - from) / (to - from)) * 100));
