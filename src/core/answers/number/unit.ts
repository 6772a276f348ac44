import { exact, multiplyExact, type Exact } from '../../figures/exact';
import { ONE, type Fraction } from '../../figures/fraction';
import { keyNumber } from './compare';
import { isKnownUnit } from './knownUnits';
import { isPluralAnywhere } from '../text/words/plurals';
import { canonicalUnit } from './unitNames';
import type { ReadNumber } from './read';
import type { NumberKey, UnitRule } from './schema';

/** Units as compared: capitals count, spaces and ^ do not, both µ are alike, raised figures are figures. */
export const comparedUnit = (unit: string): string => unit.normalize('NFKC').replace(/[\s^]/g, '');

/** A value in the key's unit, and what its unit leaves of the credit. */
export interface InKeyUnit {
  readonly value: Exact;
  readonly share: Fraction;
  readonly what: 'none' | 'ignored' | 'known' | 'otherCapitals' | 'missing' | 'unknown';
}

type Units = Extract<UnitRule, { kind: 'optional' | 'required' }>['units'];

/** One name for another: the same unit in words or signs, powers however they are written, or the plural of a word. */
const isOtherWriting = (name: string, typed: string): boolean =>
  canonicalUnit(name) === canonicalUnit(typed) || isPluralAnywhere(name.toLowerCase(), typed.toLowerCase());

/** Whether a name of a unit is what was typed, capitals counted, in whichever of its usual writings. */
const isNameOf = (name: string, typed: string): boolean =>
  comparedUnit(name) === comparedUnit(typed) || isOtherWriting(name, typed);

/**
 * The accepted unit that was typed, capitals counted; else the only one that it is in another usual writing; else the only one
 * that it can mean with other capitals, unless it is the name of another unit as it stands (MW is not mW).
 */
export function unitNamed(units: Units, typed: string): Units[number] | undefined {
  const compared = comparedUnit(typed);
  const named = (same: (name: string) => boolean) => units.filter(({ names }) => names.some(same));
  const [exactly] = named((name) => comparedUnit(name) === compared);
  if (exactly) return exactly;
  const [otherwise, ...more] = named((name) => isOtherWriting(name, typed));
  if (otherwise && more.length === 0) return otherwise;
  if (isKnownUnit(compared)) return undefined;
  const folded = named((name) => comparedUnit(name).toLowerCase() === compared.toLowerCase());
  return folded.length === 1 ? folded[0] : undefined;
}

/** True where the key itself was written in per cent or per mille. */
const isPer = (key: NumberKey): boolean => (keyNumber(key.key)?.per ?? null) !== null;

/** A number beside a key in per cent: %, ‰ and the bare fraction are right, and a bare value is read in per cent. */
function besidePercent(number: ReadNumber, key: NumberKey): InKeyUnit[] {
  const { unit } = key;
  const missing = unit.kind === 'required' ? unit.missing : ONE;
  const unknown = unit.kind === 'none' ? ONE : unit.unknown;
  if (number.per !== null) return [{ value: number.value, share: ONE, what: 'known' }];
  if (number.unit !== '') return [{ value: number.value, share: unknown, what: 'unknown' }];
  const per = keyNumber(key.key)?.per === '‰' ? 1000n : 100n;
  const bare: InKeyUnit = {
    value: multiplyExact(number.value, exact(1n, per)),
    share: missing,
    what: 'missing',
  };
  return key.bareFraction ? [{ value: number.value, share: ONE, what: 'known' }, bare] : [bare];
}

/** The ways in which a typed number can be read in the key's unit: one, but for keys in per cent. */
export function inKeyUnit(number: ReadNumber, key: NumberKey): InKeyUnit[] {
  if (isPer(key)) return besidePercent(number, key);
  const { unit: rule } = key;
  const { value, unit } = number;
  if (rule.kind === 'none') return [{ value, share: ONE, what: unit === '' ? 'none' : 'ignored' }];
  if (unit === '') return [{ value, share: rule.kind === 'optional' ? ONE : rule.missing, what: 'missing' }];
  const known = unitNamed(rule.units, unit);
  if (!known) return [{ value, share: rule.unknown, what: 'unknown' }];
  const factor = keyNumber(known.factor)?.value ?? exact(1n);
  const asNamed = known.names.some((name) => isNameOf(name, unit));
  return [{ value: multiplyExact(value, factor), share: ONE, what: asNamed ? 'known' : 'otherCapitals' }];
}

/** The first name of the key's own unit; empty where no unit is asked for. */
export const unitName = (rule: UnitRule): string =>
  rule.kind === 'none' ? '' : (rule.units[0]?.names[0] ?? '');
