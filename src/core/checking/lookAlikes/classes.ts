import { comparedText } from '../../answers/text/comparedText';
import type { KnownWords } from '../../answers/text/words/otherWords';
import { DEFAULT_SETTINGS, type TextSettings } from '../../answers/text/settings';
import { unify } from '../../answers/text/unify';
import { numberMeant } from '../../answers/number/meant';
import type { DecimalSign } from '../../answers/number/read';
import { comparedUnit, inKeyUnit } from '../../answers/number/unit';
import type { NumberKey } from '../../answers/number/schema';

/** How answers to a question are read, for telling which of them differ in form alone. */
export interface LookReading {
  readonly language: string;
  readonly decimalSign: DecimalSign;
  /** The words of the language and of the quiz; null without a list. */
  readonly words: KnownWords | null;
  /** The key of a number, by whose units values are equal; null where words are asked for. */
  readonly number: NumberKey | null;
  /** Written answers are equal only as they stand. */
  readonly asWritten: boolean;
}

/** One answer as it was written, how many gave it, and what it earns: the same text for the same mark. */
export interface GivenText {
  readonly text: string;
  readonly times: number;
  readonly mark: string;
}

/** Answers that compare equal and earn the same. */
export interface EqualClass {
  /** The most frequent of its texts. */
  readonly text: string;
  readonly texts: readonly GivenText[];
  readonly times: number;
  readonly mark: string;
  /** The same for texts that compare equal, whatever they earn. */
  readonly key: string;
  /** What it is compared as; null for a number, and for what is equal only as it stands. */
  readonly compared: string | null;
}

/** Capitals, articles and punctuation ignored, whatever the question sets; accents, spaces and the order of words count. */
const EQUAL: TextSettings = { ...DEFAULT_SETTINGS, ignoreArticles: true };

function numberKey(text: string, reading: LookReading): string | null {
  const { number } = reading;
  if (!/\p{N}/u.test(text)) return null;
  const read = numberMeant(text, reading, number?.unit);
  if (!read) return null;
  const [inUnit] = number ? inKeyUnit(read, number) : [];
  const known = inUnit?.what === 'known' || inUnit?.what === 'otherCapitals';
  const { n, d } = known ? inUnit.value : read.value;
  const unit = known && read.unit !== '' ? 'known' : comparedUnit(read.unit);
  return `#${n}/${d} ${unit}`;
}

/** What a text is compared as, and the key that equal texts share. */
export function comparedAs(text: string, reading: LookReading): Pick<EqualClass, 'key' | 'compared'> {
  if (reading.asWritten) return { key: `=${unify(text)}`, compared: null };
  const number = numberKey(text, reading);
  if (number !== null) return { key: number, compared: null };
  const compared = comparedText(text, EQUAL, reading.language);
  return { key: `"${compared}`, compared };
}

const byCodePoints = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The most frequent text first, then the shorter, then by code points. */
const mostFrequent = (a: GivenText, b: GivenText): number =>
  b.times - a.times || a.text.length - b.text.length || byCodePoints(a.text, b.text);

/** The answers parted into those that compare equal and earn the same. */
export function equalClasses(given: readonly GivenText[], reading: LookReading): EqualClass[] {
  const classes = new Map<string, { texts: GivenText[] } & Pick<EqualClass, 'key' | 'compared' | 'mark'>>();
  for (const one of given) {
    const { key, compared } = comparedAs(one.text, reading);
    const id = `${one.mark}\n${key}`;
    const known = classes.get(id);
    if (known) known.texts.push(one);
    else classes.set(id, { texts: [one], key, compared, mark: one.mark });
  }
  return [...classes.values()].map(({ texts, ...own }) => {
    texts.sort(mostFrequent);
    const times = texts.reduce((sum, one) => sum + one.times, 0);
    return { ...own, texts, times, text: texts[0]?.text ?? '' };
  });
}
