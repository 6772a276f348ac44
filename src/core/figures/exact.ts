/** An exact number of any size, as typed by students: `n / d` in lowest terms, `d` above 0. Never stored. */
export interface Exact {
  readonly n: bigint;
  readonly d: bigint;
}

const abs = (value: bigint): bigint => (value < 0n ? -value : value);

/** `n / d` in lowest terms. Throws RangeError where `d` is 0. */
export function exact(n: bigint, d = 1n): Exact {
  if (d === 0n) throw new RangeError('Nothing can be divided by 0.');
  let [x, y] = [abs(n), abs(d)];
  while (y !== 0n) [x, y] = [y, x % y];
  const by = (x === 0n ? 1n : x) * (d < 0n ? -1n : 1n);
  return { n: n / by, d: d / by };
}

export const addExact = (a: Exact, b: Exact): Exact => exact(a.n * b.d + b.n * a.d, a.d * b.d);
export const subtractExact = (a: Exact, b: Exact): Exact => exact(a.n * b.d - b.n * a.d, a.d * b.d);
export const multiplyExact = (a: Exact, b: Exact): Exact => exact(a.n * b.n, a.d * b.d);
export const divideExact = (a: Exact, b: Exact): Exact => exact(a.n * b.d, a.d * b.n);
export const sizeOf = (a: Exact): Exact => ({ n: abs(a.n), d: a.d });
export const negated = (a: Exact): Exact => ({ n: -a.n, d: a.d });

/** Below 0 where a < b, 0 where equal, above 0 where a > b. */
export function compareExact(a: Exact, b: Exact): number {
  const difference = a.n * b.d - b.n * a.d;
  return difference < 0n ? -1 : difference > 0n ? 1 : 0;
}

/** 10 to a whole power, which may be below 0. */
export const powerOfTen = (power: number): Exact =>
  power >= 0 ? { n: 10n ** BigInt(power), d: 1n } : { n: 1n, d: 10n ** BigInt(-power) };

/** The power of ten of the first digit: 2 for 345, −3 for 0.0012. Not for 0. */
export function magnitude({ n, d }: Exact): number {
  let power = abs(n).toString().length - d.toString().length;
  if (compareExact({ n: abs(n), d }, powerOfTen(power)) < 0) power--;
  return power;
}

/** Rounded to so many significant figures, halves away from zero; 0 stays 0. */
export function toFigures(value: Exact, figures: number): Exact {
  if (value.n === 0n) return value;
  const step = powerOfTen(magnitude(value) - figures + 1);
  const { n, d } = divideExact(sizeOf(value), step);
  const whole = (2n * n + d) / (2n * d);
  const rounded = multiplyExact({ n: whole, d: 1n }, step);
  return value.n < 0n ? negated(rounded) : rounded;
}

/** As a double, right to 17 figures; beyond what a double holds, the largest of its sign. */
export function toDouble({ n, d }: Exact): number {
  const sign = n < 0n ? -1 : 1;
  if (n === 0n) return 0;
  // 17 figures are more than a double keeps.
  const power = magnitude({ n: abs(n), d }) - 17;
  const { n: over, d: under } = divideExact({ n: abs(n), d }, powerOfTen(power));
  const value = Number(`${over / under}e${power}`);
  return sign * Math.min(value, Number.MAX_VALUE);
}
