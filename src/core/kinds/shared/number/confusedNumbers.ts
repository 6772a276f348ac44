import { numberText } from '../../../answers/number/text';
import { keyNumber } from '../../../answers/number/compare';
import type { NumberKey } from '../../../answers/number/schema';
import { compareExact, divideExact, negated, type Exact } from '../../../figures/exact';

/** A number that students may give instead of the right one, and what they then have mixed up. */
export interface ConfusedNumber {
  /** As the key of a number is kept: with a decimal point. */
  readonly value: string;
  /** `sign`, or the name of the other unit. */
  readonly mixedUp: string;
}

/** Sizes that can be written as decimals of a few places. */
const isShort = (text: string): boolean => !text.includes('/') && text.length <= 12;

/** The right number with the other sign, and in each other accepted unit, where the key does not hold it yet. */
export function confusedNumbers(key: NumberKey): ConfusedNumber[] {
  const right = keyNumber(key.key);
  if (!right || right.per !== null) return [];
  const held: Exact[] = [right.value, ...key.expected.flatMap(({ value }) => keyNumber(value)?.value ?? [])];
  const inUnits = (key.unit.kind === 'none' ? [] : key.unit.units.slice(1)).flatMap(
    ({ names: [name = ''], factor }): { value: Exact; mixedUp: string }[] => {
      const size = keyNumber(factor)?.value;
      return size && size.n !== 0n ? [{ value: divideExact(right.value, size), mixedUp: name }] : [];
    },
  );
  const all = [{ value: negated(right.value), mixedUp: 'sign' }, ...inUnits];
  return all
    .filter(({ value }) => !held.some((one) => compareExact(one, value) === 0))
    .map(({ value, mixedUp }) => ({ value: numberText(value), mixedUp }))
    .filter(({ value }) => isShort(value))
    .slice(0, 4);
}
