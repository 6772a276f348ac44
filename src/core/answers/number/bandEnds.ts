import {
  addExact,
  compareExact,
  divideExact,
  exact,
  magnitude,
  multiplyExact,
  powerOfTen,
  sizeOf,
  subtractExact,
  toFigures,
  type Exact,
} from '../../figures/exact';
import { keyNumber, isTurned } from './compare';
import type { Band } from './schema';

const valueOf = (text: string): Exact => keyNumber(text)?.value ?? exact(0n);
const around = (key: Exact, reach: Exact): [Exact, Exact] => [
  subtractExact(key, sizeOf(reach)),
  addExact(key, sizeOf(reach)),
];

/** The least and the greatest value of a band around a key, for drawing: whether an end is inside is not told. */
export function bandEnds(key: Exact, band: Band): [from: Exact, to: Exact] {
  switch (band.kind) {
    case 'exact':
      return [key, key];
    case 'amount':
      return around(key, valueOf(band.amount));
    case 'percent':
      return around(key, multiplyExact(key, divideExact(valueOf(band.percent), exact(100n))));
    case 'figures': {
      if (key.n === 0n) return [key, key];
      const rounded = toFigures(key, band.figures);
      // What rounds to the same lies within half a step of the last figure; below a power of ten steps are a tenth.
      const half = multiplyExact(powerOfTen(magnitude(rounded) - band.figures + 1), exact(1n, 2n));
      const isPower = compareExact(sizeOf(rounded), powerOfTen(magnitude(rounded))) === 0;
      const inner = isPower ? multiplyExact(half, exact(1n, 10n)) : half;
      return rounded.n > 0n
        ? [subtractExact(rounded, inner), addExact(rounded, half)]
        : [subtractExact(rounded, half), addExact(rounded, inner)];
    }
    case 'range': {
      const [from, to] = [valueOf(band.from), valueOf(band.to)];
      return isTurned(band) ? [to, from] : [from, to];
    }
  }
}
