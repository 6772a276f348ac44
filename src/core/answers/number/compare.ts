import {
  compareExact,
  divideExact,
  exact,
  magnitude,
  multiplyExact,
  sizeOf,
  subtractExact,
  toFigures,
  type Exact,
} from '../../figures/exact';
import { compare, type Fraction } from '../../figures/fraction';
import { readNumber, type NumberForm, type ReadNumber } from './read';
import type { Band, FormRule } from './schema';

const keyNumbers = new Map<string, ReadNumber | null>();
const MOST_KEPT = 10_000;

/** A number from the key, in the form with a decimal point; null where it is none. Each is read once. */
export function keyNumber(text: string): ReadNumber | null {
  const known = keyNumbers.get(text);
  if (known !== undefined) return known;
  const read = text === '' ? null : readNumber(text, 'point');
  if (keyNumbers.size < MOST_KEPT) keyNumbers.set(text, read);
  return read;
}
const valueOf = (text: string): Exact => keyNumber(text)?.value ?? exact(0n);

const within = (value: Exact, key: Exact, reach: Exact): boolean =>
  compareExact(sizeOf(subtractExact(value, key)), sizeOf(reach)) <= 0;

type Range = Extract<Band, { kind: 'range' }>;

/** True for a range that was typed from its upper end to its lower one. */
export const isTurned = ({ from, to }: Range): boolean => compareExact(valueOf(from), valueOf(to)) > 0;

/** A range from its lower end to its upper one, whichever was typed first. */
const turned = (range: Range): Range =>
  isTurned(range)
    ? { ...range, from: range.to, fromIn: range.toIn, to: range.from, toIn: range.fromIn }
    : range;

/** True where the value lies within the band around the key; bounds are inside, a range's ends as it says. */
export function inBand(value: Exact, key: Exact, band: Band): boolean {
  if (compareExact(value, key) === 0 && band.kind !== 'range') return true;
  switch (band.kind) {
    case 'exact':
      return false;
    case 'amount':
      return within(value, key, valueOf(band.amount));
    case 'percent':
      return within(value, key, multiplyExact(key, divideExact(valueOf(band.percent), exact(100n))));
    case 'figures':
      return (
        key.n !== 0n &&
        value.n !== 0n &&
        compareExact(toFigures(value, band.figures), toFigures(key, band.figures)) === 0
      );
    case 'range': {
      const { from, fromIn, to, toIn } = turned(band);
      const low = compareExact(value, valueOf(from));
      const high = compareExact(value, valueOf(to));
      return (low > 0 || (low === 0 && fromIn)) && (high < 0 || (high === 0 && toIn));
    }
  }
}

/** The highest credit among the bands in which the value lies; null in none. */
export function bestBand(
  value: Exact,
  key: Exact,
  bands: readonly Band[],
): { credit: Fraction; band: Band } | null {
  let best: { credit: Fraction; band: Band } | null = null;
  for (const band of bands) {
    if (inBand(value, key, band) && (!best || compare(band.credit, best.credit) > 0))
      best = { credit: band.credit, band };
  }
  return best;
}

function coprime([a, b]: readonly [bigint, bigint]): boolean {
  let [x, y] = [a < 0n ? -a : a, b];
  while (y !== 0n) [x, y] = [y, x % y];
  return x === 1n;
}

/** Whole numbers, proper parts of mixed numbers and fractions in lowest terms pass; decimals and `2/1` do not. */
function isLowest({ written, terms, power, decimals }: NumberForm): boolean {
  // A full stop that closes a whole number is no decimal point.
  if (written === 'whole' || (written === 'decimal' && decimals === 0 && !terms)) return !power;
  if (!terms) return false;
  const [n, d] = terms;
  return coprime(terms) && d > 1n && (written === 'fraction' || n < d);
}

/** True where the number was written in the form that is asked for. */
export function hasForm({ value, form, per }: ReadNumber, rule: FormRule): boolean {
  switch (rule.kind) {
    case 'any':
      return true;
    case 'lowestTerms':
      return per === null && isLowest(form);
    case 'decimals':
      return form.figures !== null && form.decimals === rule.count;
    case 'figures':
      return (
        form.figures !== null &&
        (value.n === 0n || (form.figures[0] <= rule.count && rule.count <= form.figures[1]))
      );
    case 'scientific':
      return (
        value.n === 0n || (form.mantissa !== null && form.mantissa.n !== 0n && magnitude(form.mantissa) === 0)
      );
  }
}

/** True where one value is the other with its point moved by at least one place. */
export function isPowerOfTenApart(a: Exact, b: Exact): boolean {
  if (a.n === 0n || b.n === 0n || compareExact(a, b) === 0) return false;
  const { n, d } = divideExact(a, b);
  const power = (value: bigint): boolean => /^10*$/.test(value.toString());
  return (d === 1n && power(n)) || (n === 1n && power(d));
}
