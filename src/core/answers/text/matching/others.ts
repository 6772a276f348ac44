import type { Prepared } from '../prepare';
import { otherWordIn, type FoundOther } from '../words/otherWords';
import type { Comparison, Refused } from './comparison';

/** What speaks against letting a text pass for a form; equal texts can differ by the accents that were dropped. */
export function otherIn(
  form: Prepared,
  text: Prepared,
  errors: number,
  { others, errors: allowed }: Comparison,
): FoundOther | null {
  if (!others || (errors === 0 && form.plain && text.plain)) return null;
  const accents = allowed === 0 ? 'all' : others.finalS ? 'missing' : 'told';
  const other = otherWordIn(form.spelt.flat(), text.spelt.flat(), others.words, accents);
  return other?.why === 'singularOrPlural' && others.finalS ? null : other;
}

export const refused = (
  form: Prepared,
  text: Prepared,
  errors: number,
  comparison: Comparison,
): Refused | null => otherIn(form, text, errors, comparison)?.why ?? null;
