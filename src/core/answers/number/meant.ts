import { multiplyExact, powerOfTen } from '../../figures/exact';
import { isKnownUnit } from './knownUnits';
import { multiplierIn } from './multipliers';
import { isPlainNoun, saysOfNumber } from './nouns';
import { readNumber, type DecimalSign, type ReadNumber } from './read';
import type { UnitRule } from './schema';
import { comparedUnit, unitNamed } from './unit';
import { unitInSigns } from './unitNames';

/** What a typed number means together with what stands behind it. */

const CURRENCY = /^\p{Sc}$/u;
const QUOTES = /^['"′″]+$/;
const BETWEEN_UNITS = /[\s/·*×⋅()]+/;
const MOST_WORDS = 3;

/** No unit has a power of two figures: 8h30 is a time of day. */
const NO_POWER = /\d{2,}$/;

const isUnitSign = (part: string): boolean =>
  CURRENCY.test(part) ||
  QUOTES.test(part) ||
  (!NO_POWER.test(part) && isKnownUnit(comparedUnit(part)) && !saysOfNumber(part));

const allAreUnits = (text: string): boolean =>
  unitInSigns(text)
    .split(BETWEEN_UNITS)
    .filter((part) => part !== '')
    .every((part) => isUnitSign(part) || /^-?\d$/.test(part));

/** Units, a currency, or plain nouns set apart by a space, also behind a unit: what a number can stand in front of and stay what it is. */
function canBeCounted(unit: string, isGlued: boolean): boolean {
  if (allAreUnits(unit)) return true;
  if (isGlued) return false;
  const words = unit.split(/[ '’-]/).filter((word) => word !== '');
  return (
    words.length <= MOST_WORDS &&
    words.every((word, at) => isPlainNoun(word) || (at === 0 && isUnitSign(word)))
  );
}

/** True where no space parts the number from what stands behind it. */
const isGluedTo = (typed: string, unit: string): boolean => {
  const at = typed.lastIndexOf(unit);
  return at > 0 && !/\s/.test(typed[at - 1] as string);
};

const accepts = (rule: UnitRule, unit: string): boolean =>
  rule.kind !== 'none' && unitNamed(rule.units, unit) !== undefined;

/** A number as it was meant, and the words that multiplied it; empty without any. */
export interface MeantNumber extends ReadNumber {
  readonly multiplier: string;
}

/** The number with what stands behind it taken into account; null where that makes it another number, or nobody knows which. */
function withWords(number: MeantNumber, typed: string, rule: UnitRule, language: string): MeantNumber | null {
  const { unit, multiplier } = number;
  if (unit === '' || accepts(rule, unit)) return number;
  const times = multiplierIn(unit, language);
  if (times) {
    const value = multiplyExact(number.value, powerOfTen(times.power));
    const words = `${multiplier} ${times.word}`.trim();
    return withWords({ ...number, value, unit: times.rest, multiplier: words }, typed, rule, language);
  }
  const isGlued = isGluedTo(typed, unit);
  // Nobody writes so many kelvins without a space where none are asked for: 5K is five thousand to many.
  if (isGlued && unit === 'K' && rule.kind === 'none') return null;
  return canBeCounted(unit, isGlued) ? number : null;
}

/** How numbers are written where this one stands: which sign their decimals have, and in which language. */
export interface NumberReading {
  readonly decimalSign: DecimalSign;
  readonly language: string;
}

const NO_UNIT: UnitRule = { kind: 'none' };

/**
 * The number that was meant: words that multiply it are taken into its value (`1.5 million`), units and what is counted stay
 * beside it; `rule` says which units are accepted there. null for what is no number, and where what stands behind it makes it
 * another one (`2x`, `2 or more`).
 */
export function numberMeant(
  typed: string,
  { decimalSign, language }: NumberReading,
  rule: UnitRule = NO_UNIT,
): MeantNumber | null {
  const read = readNumber(typed, decimalSign);
  return read && withWords({ ...read, multiplier: '' }, typed, rule, language);
}
