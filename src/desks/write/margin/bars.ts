import type { Earned, Given } from '@/core/checking/ways';
import { same } from '@/core/figures/deepEqual';
import type { Fraction } from '@/core/figures/fraction';
import { points } from '@/ui/words/figures';

/** What a set of answers earns by the rules of the question. */
export interface EarnedBy {
  readonly given: readonly Given[];
  readonly now: Earned;
}

/** What is drawn, and what it is compared with: the same answers by the rules before the last change. */
export interface Compared {
  readonly latest: EarnedBy | null;
  readonly before: Earned | null;
}

/** One more result: compared with the one before it only where the same answers earn something else now. */
export function comparedWith({ latest, before }: Compared, next: EarnedBy): Compared {
  if (!latest || !same(latest.given, next.given)) return { latest: next, before: null };
  return same(latest.now, next.now) ? { latest, before } : { latest: next, before: latest.now };
}

const MOST_BARS = 6;

export interface Bar {
  readonly label: string;
  readonly now: number;
  /** null where nothing is compared. */
  readonly before: number | null;
  /** How high each reaches, 0 … 1: the most of all that is drawn reaches the top. */
  readonly height: number;
  readonly heightBefore: number;
  /** How full the question's points are there, 0 … 1. */
  readonly share: number;
}

export const valueOf = (fraction: Fraction): number => fraction.n / fraction.d;

/** How many earn how many points, now and before: one bar for each number of points, or for each stretch of them. */
export function barsOf(now: Earned, before: Earned | null, worth: number): Bar[] {
  const all = [...now.spread, ...(before?.spread ?? [])];
  const values = [...new Map(all.map((one) => [valueOf(one.points), one.points])).entries()].sort(
    ([a], [b]) => a - b,
  );
  const within = (earned: Earned, from: number, to: number): number =>
    earned.spread.reduce((sum, one) => {
      const value = valueOf(one.points);
      return sum + (value >= from && value < to ? one.times : 0);
    }, 0);
  const counted = (label: string, from: number, to: number) => ({
    label,
    now: within(now, from, to),
    before: before && within(before, from, to),
    share: worth > 0 ? Math.max(0, Math.min(1, from / worth)) : 0,
  });
  const low = Math.min(0, values[0]?.[0] ?? 0);
  const high = Math.max(worth, values.at(-1)?.[0] ?? 0);
  const step = (high - low) / MOST_BARS;
  const written = (value: number): string => points({ n: Math.round(value * 100), d: 100 });
  const bars =
    values.length <= MOST_BARS
      ? values.map(([value, exact]) => counted(points(exact), value, value + 1e-9))
      : Array.from({ length: MOST_BARS }, (_, at) => {
          // Where one stretch ends the next one begins, to the last bit: nobody falls between two.
          const [from, to] = [low + at * step, low + (at + 1) * step];
          return counted(`${written(from)}–${written(to)}`, from, at === MOST_BARS - 1 ? Infinity : to);
        });
  const most = Math.max(1, ...bars.flatMap((bar) => [bar.now, bar.before ?? 0]));
  return bars.map((bar) => ({ ...bar, height: bar.now / most, heightBefore: (bar.before ?? 0) / most }));
}
