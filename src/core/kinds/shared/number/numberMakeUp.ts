import { keyNumber } from '../../../answers/number/compare';
import type { NumberKey } from '../../../answers/number/schema';
import { numberText } from '../../../answers/number/text';
import { nonsense } from '../../../answers/text/mistakes';
import { exact, multiplyExact, powerOfTen, toFigures } from '../../../figures/exact';
import { below, oneOf, type Random } from '../../../figures/random';

/** The unit as students add it: the key's, at times left out. */
function unitFor({ unit }: NumberKey, random: Random, care: number): string {
  if (unit.kind === 'none' || random() > care) return '';
  return ` ${oneOf(random, unit.units[0]?.names ?? []) ?? ''}`;
}

/** What a student may type: the key in some form; or an expected value, a power of ten off, rounded, words. */
export function numberFor(key: NumberKey, random: Random, wanted: 'right' | 'wrong'): string {
  const value = keyNumber(key.key)?.value ?? exact(0n);
  const plain = key.key.includes('%') ? key.key : numberText(value);
  if (wanted === 'right') return `${random() < 0.5 ? key.key : plain}${unitFor(key, random, 0.9)}`;
  const how = below(random, 6);
  if (how === 0) return '';
  if (how === 1)
    return `${numberText(multiplyExact(value, powerOfTen(random() < 0.5 ? 1 : -1)))}${unitFor(key, random, 0.7)}`;
  if (how === 2) return `${numberText(toFigures(value, 1))}${unitFor(key, random, 0.7)}`;
  if (how === 3) return nonsense(random);
  const expected =
    oneOf(random, key.expected)?.value ??
    numberText(multiplyExact(value, exact(BigInt(2 + below(random, 8)), 3n)));
  return `${expected}${unitFor(key, random, 0.7)}`;
}
