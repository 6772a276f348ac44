import { exact, multiplyExact, type Exact } from '../../figures/exact';
import { ONE, type Fraction } from '../../figures/fraction';
import { keyNumber } from './compare';
import { isKnownUnit } from './knownUnits';
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

/**
 * The accepted unit of a name, capitals counted; else the only one that the name can mean with other capitals, unless it
 * is the name of another unit as it stands (MW is not mW).
 */
export function unitNamed(units: Units, compared: string): Units[number] | undefined {
  const named = (same: (name: string) => boolean) =>
    units.filter(({ names }) => names.some((name) => same(comparedUnit(name))));
  const [exactly] = named((name) => name === compared);
  if (exactly) return exactly;
  if (isKnownUnit(compared)) return undefined;
  const folded = named((name) => name.toLowerCase() === compared.toLowerCase());
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
  const compared = comparedUnit(unit);
  const known = unitNamed(rule.units, compared);
  if (!known) return [{ value, share: rule.unknown, what: 'unknown' }];
  const factor = keyNumber(known.factor)?.value ?? exact(1n);
  const asNamed = known.names.some((name) => comparedUnit(name) === compared);
  return [{ value: multiplyExact(value, factor), share: ONE, what: asNamed ? 'known' : 'otherCapitals' }];
}

/** The first name of the key's own unit; empty where no unit is asked for. */
export const unitName = (rule: UnitRule): string =>
  rule.kind === 'none' ? '' : (rule.units[0]?.names[0] ?? '');
