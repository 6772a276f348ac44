import { compareExact, exact, multiplyExact, type Exact } from '../../../figures/exact';
import { compare, larger, multiply, ONE, smaller, ZERO, type Fraction } from '../../../figures/fraction';
import type { NearMiss } from '../../../marks/mark';

import { numberMeant, type MeantNumber, type NumberReading } from '../../../answers/number/meant';
import { bestBand, hasForm, isPowerOfTenApart, keyNumber } from '../../../answers/number/compare';
import type { ReadNumber } from '../../../answers/number/read';
import type { Band, ExpectedValue, NumberKey } from '../../../answers/number/schema';
import { inKeyUnit, type InKeyUnit } from '../../../answers/number/unit';
import type { Feedback } from '../../../content/feedback';
import { SILENCE } from '../../../content/silence';

/** How a typed number was judged. */
export interface NumberVerdict {
  /** null: it is not a number. */
  readonly read: MeantNumber | null;
  readonly inUnit: InKeyUnit | null;
  /** What matched: the key, an expected value, or nothing. */
  readonly hit: 'key' | ExpectedValue | null;
  readonly band: Band | null;
  /** Before form and unit took anything off. */
  readonly base: Fraction;
  /** What the form and the unit leave of it. */
  readonly formShare: Fraction;
  readonly unitShare: Fraction;
  readonly credit: Fraction;
  readonly feedback: Feedback;
  readonly nearMiss: NearMiss | null;
}

/** A key needs a number that can be read. */
export const hasNumberKey = (key: NumberKey): boolean => keyNumber(key.key) !== null;

interface Hit {
  readonly hit: 'key' | ExpectedValue;
  readonly band: Band | null;
  readonly base: Fraction;
}

/** Exactly the key, else an exactly hit expected value, else the best of the bands. */
function hitOf(value: Exact, key: NumberKey): Hit | null {
  const right = keyNumber(key.key)?.value ?? exact(0n);
  const listed = key.expected.map((expected) => ({ expected, at: keyNumber(expected.value)?.value ?? null }));
  const byKey = bestBand(value, right, key.bands);
  if (compareExact(value, right) === 0) return { hit: 'key', band: null, base: byKey?.credit ?? ONE };
  const exactly = listed.filter(({ at }) => at !== null && compareExact(value, at) === 0);
  const near = listed.filter(
    ({ expected, at }) => at !== null && bestBand(value, at, expected.bands ?? key.bands) !== null,
  );
  const best = (found: typeof listed): Hit | null =>
    found.reduce<Hit | null>(
      (most, { expected }) =>
        most && compare(most.base, expected.credit) >= 0
          ? most
          : { hit: expected, band: null, base: expected.credit },
      null,
    );
  const exactHit = best(exactly);
  if (exactHit) return exactHit;
  const nearHit = best(near);
  const keyHit: Hit | null = byKey ? { hit: 'key', band: byKey.band, base: byKey.credit } : null;
  if (!keyHit || !nearHit) return keyHit ?? nearHit;
  return compare(nearHit.base, keyHit.base) > 0 ? nearHit : keyHit;
}

const reduced = (credit: Fraction, ...shares: readonly Fraction[]): Fraction =>
  credit.n <= 0 ? credit : shares.reduce(multiply, credit);

function judged(read: MeantNumber, inUnit: InKeyUnit, key: NumberKey): NumberVerdict {
  const found = hitOf(inUnit.value, key);
  const formShare = key.form.kind === 'any' || hasForm(read, key.form) ? ONE : key.form.otherwise;
  const base = found?.base ?? ZERO;
  const credit = found ? reduced(base, formShare, inUnit.share) : ZERO;
  return {
    read,
    inUnit,
    hit: found?.hit ?? null,
    band: found?.band ?? null,
    base,
    formShare,
    unitShare: inUnit.share,
    credit,
    feedback: found && found.hit !== 'key' ? found.hit.feedback : SILENCE,
    nearMiss: null,
  };
}

/** The value in front of a sign for per cent or per mille. */
const typedValue = ({ value, per }: ReadNumber): Exact =>
  multiplyExact(value, exact(per === '‰' ? 1000n : 100n));

/** Why a number that earned nothing may be worth a look. */
function nearMissOf(verdict: NumberVerdict, key: NumberKey): NearMiss | null {
  const { read, inUnit, hit, credit } = verdict;
  if (!read || !inUnit) return 'notANumber';
  if (hit !== null) {
    if (credit.n !== 0 || verdict.base.n <= 0) return null;
    if (verdict.formShare.n === 0) return 'otherForm';
    return inUnit.what === 'missing' ? 'missingUnit' : 'unknownUnit';
  }
  const matches = (value: Exact): boolean => (hitOf(value, key)?.base.n ?? 0) > 0;
  if (read.per !== null && keyNumber(key.key)?.per === null && matches(typedValue(read)))
    return 'percentSign';
  if (matches(read.value)) return 'otherUnit';
  if (key.unit.kind !== 'none') {
    const other = key.unit.units.some(({ names: [name = ''] }) =>
      inKeyUnit({ ...read, unit: name }, key).some(({ value }) => matches(value)),
    );
    if (other) return 'otherUnit';
  }
  const right = keyNumber(key.key)?.value ?? exact(0n);
  if (isPowerOfTenApart(inUnit.value, right)) return 'powerOfTen';
  return inUnit.what === 'unknown' ? 'unknownUnit' : null;
}

/** Judges what was typed by a number's key: see `docs/marking.md`, numbers. */
export function judgeNumber(key: NumberKey, typed: string, reading: NumberReading): NumberVerdict {
  const read = numberMeant(typed, reading, key.unit);
  const nothing: NumberVerdict = {
    read,
    inUnit: null,
    hit: null,
    band: null,
    base: ZERO,
    formShare: ONE,
    unitShare: ONE,
    credit: ZERO,
    feedback: SILENCE,
    nearMiss: null,
  };
  if (!read) return { ...nothing, nearMiss: 'notANumber' };
  const ways = inKeyUnit(read, key).map((way) => judged(read, way, key));
  const best = ways.reduce((most, way) => {
    const better = compare(way.credit, most.credit) > 0 || (most.hit === null && way.hit !== null);
    return better ? way : most;
  });
  // Decimals that go on are right where they are so as far as they stand; else nobody can say which number is meant.
  if (read.goesOn && best.hit !== 'key') return { ...nothing, read: null, nearMiss: 'notANumber' };
  return { ...best, nearMiss: nearMissOf(best, key) };
}

export const lowestNumberCredit = (key: NumberKey): Fraction =>
  key.expected.reduce((low, { credit }) => smaller(low, credit), ZERO);

/** The most that the key can give: by its bands, by an expected value, or for exactly the key. */
export function bestNumberCredit(key: NumberKey): Fraction {
  const right = keyNumber(key.key)?.value ?? exact(0n);
  const exactly = hitOf(right, key)?.base ?? ZERO;
  const others = [...key.bands, ...key.expected].map(({ credit }) => credit);
  return others.reduce(larger, exactly);
}
