import { prepared, type Prepared } from '../prepare';
import { isListed } from '../words/otherWords';
import { isPlural } from '../words/plurals';
import { isSameWord } from '../words/spellings';
import type { Comparison } from './comparison';

/** Words that are kin: one in another spelling, or singular and plural. They are one error each, whatever their length. */
export type Kin = 'spelling' | 'plural';

/** The one dictionary word that stands at a place of a text; undefined where it is put together of several. */
function wordAt(text: Prepared, at: number): string | undefined {
  const words = text.spelt[at] ?? [];
  return words.length === 1 ? words[0] : undefined;
}

const VOWEL = /^[aeiouyœæäöüáéíóúâêîôû]/i;
/** An ending makes a word no longer than by so much. */
const MOST_LONGER = 4;

/** Two words that may be kin at all: of about the same length, and with the same first letter or a vowel first. A quick look. */
const mayBeKin = (a: string, b: string): boolean =>
  Math.abs(a.length - b.length) <= MOST_LONGER &&
  (a[0] === b[0] || (VOWEL.test(a) && VOWEL.test(b)) || MORE_FIRST.has(`${a[0]}${b[0]}`));

/** Other first letters of one word in two spellings: gaol and jail, kerb and curb. */
const MORE_FIRST: ReadonlySet<string> = new Set(['gj', 'jg', 'kc', 'ck']);

/** How a word of a form and one of a text are kin; null where they are not, or are the same. */
export function kinOf(
  form: Prepared,
  row: number,
  text: Prepared,
  column: number,
  { others }: Comparison,
): Kin | null {
  if (!others || !mayBeKin(form.words[row] ?? '', text.words[column] ?? '')) return null;
  const [own, other] = [wordAt(form, row), wordAt(text, column)];
  if (own === undefined || other === undefined || own === other) return null;
  if (isSameWord(own, other, others.words)) return 'spelling';
  // Where the number of things counts, what is no word of the list is a misspelling: `speciman`.
  if (!others.finalS && !isListed(other, own, others.words)) return null;
  return isPlural(own, other, others.words.language) ? 'plural' : null;
}

/** A form with some of its words put as the text has them. */
export interface KinForm {
  readonly form: Prepared;
  /** How many words are kin. */
  readonly count: number;
  /** The text's own words that are another number of the form's. */
  readonly plurals: readonly string[];
}

interface Found {
  readonly row: number;
  readonly column: number;
  readonly kin: Kin;
}

/** The kin of a word of the form: at a place of the text, or at any that is not taken and is no word of the form itself. */
function kinFor(
  form: Prepared,
  row: number,
  text: Prepared,
  place: number | undefined,
  taken: readonly Found[],
  comparison: Comparison,
): Found | null {
  const last = place ?? text.words.length - 1;
  for (let column = place ?? 0; column <= last; column++) {
    const kin = kinOf(form, row, text, column, comparison);
    if (kin === null || taken.some((one) => one.column === column)) continue;
    if (place !== undefined || !form.words.includes(text.words[column] as string))
      return { row, column, kin };
  }
  return null;
}

/** A form with the text's words where they are its own in another spelling, or singular and plural; null where none is. */
export function asTheTextHasIt(form: Prepared, text: Prepared, comparison: Comparison): KinForm | null {
  if (!comparison.others) return null;
  const { wordOrderCounts } = comparison;
  if (wordOrderCounts && form.words.length !== text.words.length) return null;
  const found: Found[] = [];
  for (let row = 0; row < form.words.length; row++) {
    const word = form.words[row] as string;
    if (wordOrderCounts ? word === text.words[row] : text.words.includes(word)) continue;
    const column = wordOrderCounts ? row : undefined;
    const kin = kinFor(form, row, text, column, found, comparison);
    if (kin) found.push(kin);
  }
  if (found.length === 0) return null;
  const words = [...form.words];
  for (const { row, column } of found) words[row] = text.words[column] as string;
  const plurals = found
    .filter(({ kin }) => kin === 'plural')
    .map(({ column }) => text.words[column] as string);
  return { form: prepared(words.join(' ')), count: found.length, plurals };
}
