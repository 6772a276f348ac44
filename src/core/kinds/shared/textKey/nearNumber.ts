import { isPowerOfTenApart } from '../../../answers/number/compare';
import { numberMeant, type NumberReading } from '../../../answers/number/meant';
import type { ReadNumber } from '../../../answers/number/read';
import { comparedUnit } from '../../../answers/number/unit';
import { compareExact, exact, multiplyExact, type Exact } from '../../../figures/exact';
import type { NearMiss } from '../../../marks/mark';

const HAS_DIGIT = /\p{Nd}/u;

/** A text that is a number as a whole; null for any other. */
export const numberIn = (text: string, reading: NumberReading): ReadNumber | null =>
  HAS_DIGIT.test(text) ? numberMeant(text, reading) : null;

const beforeSign = ({ value, per }: ReadNumber): Exact =>
  multiplyExact(value, exact(per === '‰' ? 1000n : 100n));

/** In the order in which they are named. */
export const NUMBER_REASONS = ['otherForm', 'powerOfTen', 'missingUnit', 'percentSign'] as const;

/** What a number that was typed has to do with a number of a text's key, where they are written differently. */
export function nearNumber(typed: ReadNumber, key: ReadNumber): NearMiss | null {
  const [unit, wanted] = [comparedUnit(typed.unit), comparedUnit(key.unit)];
  const isEqual = compareExact(typed.value, key.value) === 0;
  if (isEqual && unit === wanted) return 'otherForm';
  if (isEqual && unit === '') return 'missingUnit';
  if (typed.per !== null && key.per === null && compareExact(beforeSign(typed), key.value) === 0)
    return 'percentSign';
  return unit === wanted && isPowerOfTenApart(typed.value, key.value) ? 'powerOfTen' : null;
}

/**
 * The same text for values that are equal or a power of ten apart: what is left of numerator and denominator without their
 * twos and fives, and how many more twos than fives there are.
 */
export function sizelessValue({ value }: ReadNumber): string {
  let twos = 0;
  const rest = (whole: bigint, sign: number): bigint => {
    let left = whole < 0n ? -whole : whole;
    for (const [prime, step] of [
      [2n, sign],
      [5n, -sign],
    ] as const)
      for (; left !== 0n && left % prime === 0n; left /= prime) twos += step;
    return left;
  };
  const [n, d] = [rest(value.n, 1), rest(value.d, -1)];
  return `${value.n < 0n ? '-' : ''}${n}/${d} ${twos}`;
}
