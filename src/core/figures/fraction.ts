import type { FractionData } from './schema';

/**
 * An exact share or number of points: `n / d` in lowest terms, `d` at least 1, both safe integers.
 * Plain data, so that it survives storage and messages between workers.
 *
 * A sum or product of which no such figures can be made (some ten shares with large unlike denominators; files that bring
 * them are refused) is the nearest 1 / {@link FINEST}, so that no score is ever without a value.
 */
export type Fraction = FractionData;

export const ZERO: Fraction = { n: 0, d: 1 };
export const ONE: Fraction = { n: 1, d: 1 };

const MAX = BigInt(Number.MAX_SAFE_INTEGER);
/** The finest part that anything is rounded to, where exact figures would be too large. */
export const FINEST = 1_000_000_000_000;

/** Greatest common divisor of two whole numbers (Euclid); at least 1. */
function commonDivisor(a: number, b: number): number {
  let x = Math.abs(a);
  let y = Math.abs(b);
  while (y !== 0) [x, y] = [y, x % y];
  return x || 1;
}

function reduceBig(n: bigint, d: bigint): Fraction {
  let x = n < 0n ? -n : n;
  let y = d;
  while (y !== 0n) [x, y] = [y, x % y];
  const by = x === 0n ? 1n : x;
  const top = n / by;
  const bottom = d / by;
  if (top <= MAX && top >= -MAX && bottom <= MAX) return { n: Number(top), d: Number(bottom) };
  return nearest(top, bottom);
}

/** The nearest part of {@link FINEST}, halves away from 0, or of fewer where there are too many wholes. Throws RangeError beyond 2^53 wholes. */
function nearest(top: bigint, bottom: bigint): Fraction {
  const size = top < 0n ? -top : top;
  for (let fine = BigInt(FINEST); fine > 0n; fine /= 10n) {
    const n = (2n * size * fine + bottom) / (2n * bottom);
    if (n <= MAX) return fraction(Number(top < 0n ? -n : n), Number(fine));
  }
  throw new RangeError('A sum grew beyond all figures.');
}

/** `n / d` in lowest terms. Throws RangeError where `d` is 0 or a figure is not a safe integer. */
export function fraction(n: number, d = 1): Fraction {
  if (!Number.isSafeInteger(n) || !Number.isSafeInteger(d) || d === 0) {
    throw new RangeError(`Not a fraction: ${n}/${d}`);
  }
  const by = commonDivisor(n, d) * (d < 0 ? -1 : 1);
  return { n: n / by + 0, d: d / by };
}

/** a + b: exactly, or to the finest part where that has no figures. */
export function add(a: Fraction, b: Fraction): Fraction {
  if (a.n === 0) return b;
  if (b.n === 0) return a;
  if (a.d === 1 && b.d === 1 && Number.isSafeInteger(a.n + b.n)) return { n: a.n + b.n, d: 1 };
  const n = a.n * b.d + b.n * a.d;
  const d = a.d * b.d;
  if (Number.isSafeInteger(n) && Number.isSafeInteger(d) && Math.abs(a.n * b.d) <= Number.MAX_SAFE_INTEGER) {
    return fraction(n, d);
  }
  return reduceBig(BigInt(a.n) * BigInt(b.d) + BigInt(b.n) * BigInt(a.d), BigInt(a.d) * BigInt(b.d));
}

/** a − b, exactly. */
export function subtract(a: Fraction, b: Fraction): Fraction {
  return add(a, { n: 0 - b.n, d: b.d });
}

/** a × b, exactly. */
export function multiply(a: Fraction, b: Fraction): Fraction {
  const n = a.n * b.n;
  const d = a.d * b.d;
  if (Number.isSafeInteger(n) && Number.isSafeInteger(d)) return fraction(n, d);
  return reduceBig(BigInt(a.n) * BigInt(b.n), BigInt(a.d) * BigInt(b.d));
}

/** a ÷ b, exactly. Throws RangeError where b is 0. */
export function divide(a: Fraction, b: Fraction): Fraction {
  if (b.n === 0) throw new RangeError('Nothing can be divided by 0.');
  return multiply(a, b.n > 0 ? { n: b.d, d: b.n } : { n: -b.d, d: -b.n });
}

/** Below 0 where a < b, 0 where equal, above 0 where a > b. */
export function compare(a: Fraction, b: Fraction): number {
  const left = a.n * b.d;
  const right = b.n * a.d;
  if (Number.isSafeInteger(left) && Number.isSafeInteger(right)) return Math.sign(left - right);
  const difference = BigInt(a.n) * BigInt(b.d) - BigInt(b.n) * BigInt(a.d);
  return difference > 0n ? 1 : difference < 0n ? -1 : 0;
}

export const equal = (a: Fraction, b: Fraction): boolean => compare(a, b) === 0;
export const larger = (a: Fraction, b: Fraction): Fraction => (compare(a, b) >= 0 ? a : b);
export const smaller = (a: Fraction, b: Fraction): Fraction => (compare(a, b) <= 0 ? a : b);
export const sum = (parts: Iterable<Fraction>): Fraction => [...parts].reduce(add, ZERO);

/** `value` brought into `low … high`. */
export function clamp(value: Fraction, low: Fraction, high: Fraction): Fraction {
  return larger(low, smaller(high, value));
}

/**
 * Rounds to a whole number of `1 / perUnit`, halves away from zero.
 * `perUnit` is a whole number of at least 1: 100 rounds to hundredths.
 */
export function roundTo(value: Fraction, perUnit: number): Fraction {
  const scaled = BigInt(Math.abs(value.n)) * BigInt(perUnit);
  const d = BigInt(value.d);
  const whole = (2n * scaled + d) / (2n * d);
  return reduceBig(value.n < 0 ? -whole : whole, BigInt(perUnit));
}

/** A decimal with at most 2 places and a point, halves away from zero: 8/3 → `2.67`, 5/2 → `2.5`. */
export function toDecimalText(value: Fraction, places = 2): string {
  const rounded = roundTo(value, 10 ** places);
  const scaled = Math.abs(Math.round((rounded.n * 10 ** places) / rounded.d));
  const digits = String(scaled).padStart(places + 1, '0');
  const whole = digits.slice(0, digits.length - places);
  const rest = digits.slice(digits.length - places).replace(/0+$/, '');
  return `${rounded.n < 0 ? '-' : ''}${whole}${rest ? `.${rest}` : ''}`;
}

/** True where at most 2 decimals say the value exactly. */
export const isShownExactly = (value: Fraction): boolean => 100 % value.d === 0;

/**
 * Reads what a teacher types into a field of points or per cent: a decimal of at most 3 places
 * with a point or a comma. Gives null for anything else.
 */
export function readDecimal(text: string): Fraction | null {
  const match = /^\s*([+-]?)(\d{0,6})(?:[.,](\d{0,3}))?\s*$/.exec(text.replace('−', '-'));
  if (!match || `${match[2]}${match[3] ?? ''}` === '') return null;
  const places = match[3] ?? '';
  const n = Number(`${match[2]}${places}`);
  return fraction(match[1] === '-' ? -n : n, 10 ** places.length);
}

/**
 * Reads points that a teacher types for one answer: a decimal as {@link readDecimal}, or a fraction such as `1/2`, from 0
 * to `most`. Gives null for anything else.
 */
export function readPoints(text: string, most: number): Fraction | null {
  const parts = /^\s*(\d{1,6})\s*[/\u2044]\s*(\d{1,6})\s*$/.exec(text);
  const value = parts ? ratio(Number(parts[1]), Number(parts[2])) : readDecimal(text);
  return value && value.n >= 0 && value.n <= most * value.d ? value : null;
}

const ratio = (n: number, d: number): Fraction | null => (d === 0 ? null : fraction(n, d));

/** `2/3`, or the whole number alone. */
export const toFractionText = (value: Fraction): string =>
  value.d === 1 ? `${value.n}` : `${value.n}/${value.d}`;

/** A share as per cent with at most 2 decimals, without the sign: 1/3 → `33.33`. */
export const toPercentText = (share: Fraction): string => toDecimalText(multiply(share, { n: 100, d: 1 }));
