import type { Fraction } from '../figures/fraction';

/** Points as whole numbers of equal parts: sums and comparisons of them are exact. */
export interface InUnits {
  /** So many parts are a point. */
  readonly unit: number;
  readonly rows: readonly (readonly number[])[];
}

/** More parts to a point than this leave doubles no room for sums. */
const MOST_PARTS = 1_000_000_000;

function commonDivisor(a: number, b: number): number {
  let [x, y] = [a, b];
  while (y !== 0) [x, y] = [y, x % y];
  return x;
}

/** Rows of points in the coarsest parts that hold all of them; in doubles of a point, where there are no such parts. */
export function inUnits(rows: readonly (readonly Fraction[])[]): InUnits {
  let unit = 1;
  for (const row of rows)
    for (const { d } of row) {
      if (unit % d === 0) continue;
      unit = (unit / commonDivisor(unit, d)) * d;
      if (unit > MOST_PARTS)
        return { unit: 1, rows: rows.map((one) => one.map((value) => value.n / value.d)) };
    }
  return { unit, rows: rows.map((row) => row.map(({ n, d }) => n * (unit / d))) };
}
