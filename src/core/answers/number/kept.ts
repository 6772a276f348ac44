import { compareExact } from '../../figures/exact';
import { numberMeant, type NumberReading } from './meant';
import { readNumber, type DecimalSign, type ReadNumber } from './read';
import type { UnitRule } from './schema';
import { numberText } from './text';

/** Keys are kept with a decimal point, whatever sign the quiz is written with. */

const alike = (a: ReadNumber, b: ReadNumber | null): boolean =>
  b !== null && compareExact(a.value, b.value) === 0 && a.per === b.per;

/** A number and the unit that was typed behind it, or in front of it for a currency. */
export interface KeptNumber {
  readonly text: string;
  readonly unit: string;
}

/** The digits with the other sign between whole and decimals; signs that only part thousands go. */
const swapped = (text: string, from: string, to: string): string =>
  text.split(to).join('').split(from).join(to);

/**
 * A number as a teacher types it, in the form in which it is kept: without its unit, as written otherwise (`3/4`, `25%`,
 * `1.2e3`); words that multiply it are part of its value. null for what is not a number. At most 200 characters.
 */
export function keptNumber(typed: string, reading: NumberReading, rule?: UnitRule): KeptNumber | null {
  const { decimalSign: sign } = reading;
  const read = numberMeant(typed, reading, rule);
  if (!read) return null;
  const { unit } = read;
  const bare = unit === '' ? typed : typed.replace(unit, '');
  const text = bare.trim().replace(/\s+/g, ' ');
  const written = sign === 'comma' ? [swapped(text, ',', '.'), text] : [text, text.split(',').join('')];
  const found = written.find((one) => alike(read, readNumber(one, 'point')));
  const kept = found ?? (read.per === null ? numberText(read.value) : null);
  return kept !== null && kept.length <= 200 && alike(read, readNumber(kept, 'point'))
    ? { text: kept, unit }
    : null;
}

/** A kept number as it is read in a quiz with this decimal sign. */
export function typedNumber(kept: string, sign: DecimalSign): string {
  const read = readNumber(kept, 'point');
  if (!read || sign === 'point') return kept;
  return [swapped(kept, '.', ','), kept].find((one) => alike(read, readNumber(one, sign))) ?? kept;
}
