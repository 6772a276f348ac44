import { graphemes } from '../graphemes';
import { stretchOf, type Prepared } from '../prepare';
import { isDenied } from './denial';
import { isMark } from '../signs/punctuation';

/** Scripts that put no spaces between words. */
const UNSPACED = /[\p{sc=Han}\p{sc=Hira}\p{sc=Kana}\p{sc=Thai}\p{sc=Laoo}\p{sc=Khmr}\p{sc=Mymr}]/u;

export const trimMarks = (word: string): string => {
  const letters = graphemes(word);
  let from = 0;
  let to = letters.length;
  while (from < to && isMark(letters[from] as string)) from++;
  while (to > from && isMark(letters[to - 1] as string)) to--;
  return letters.slice(from, to).join('');
};

const onlyMarks = (text: string): boolean => graphemes(text).every(isMark);

/** The places of the words at which a phrase stands in a text, between spaces, or between marks at a word's ends where those count. */
function* phraseAt(form: string, text: string, punctuationCounts: boolean): Generator<number> {
  for (let at = text.indexOf(form); at >= 0; at = text.indexOf(form, at + 1)) {
    const before = text.slice(text.lastIndexOf(' ', at - 1) + 1, at);
    const end = at + form.length;
    const space = text.indexOf(' ', end);
    const after = text.slice(end, space < 0 ? text.length : space);
    const starts = at === 0 || text[at - 1] === ' ' || (punctuationCounts && onlyMarks(before));
    const ends = after === '' || (punctuationCounts && onlyMarks(after));
    if (starts && ends) yield text.slice(0, at).split(' ').length - 1;
  }
}

/** Whether a form stands in an answer as it is, at a place where no word before it denies it. */
export function holds(
  form: Prepared,
  answer: Prepared,
  punctuationCounts: boolean,
  negations: ReadonlySet<string>,
): boolean {
  if (UNSPACED.test(form.text) && answer.text.includes(form.text)) return true;
  for (const from of phraseAt(form.text, answer.text, punctuationCounts))
    if (!isDenied(answer.words, from, negations)) return true;
  return false;
}

/** Every stretch of the answer that is as long as the form, one longer or one shorter, and the place of its first word. */
export function* stretchesAt(
  form: Prepared,
  answer: Prepared,
  punctuationCounts: boolean,
): Generator<readonly [stretch: Prepared, from: number]> {
  const isUnspaced = UNSPACED.test(form.text);
  const units = isUnspaced ? answer.letters : answer.words;
  const length = isUnspaced ? form.letters.length : form.words.length;
  const glue = isUnspaced ? '' : ' ';
  for (const size of [length, length - 1, length + 1]) {
    if (size < 1) continue;
    for (let from = 0; from + size <= units.length; from++) {
      const text = units.slice(from, from + size).join(glue);
      const at = isUnspaced ? 0 : from;
      yield [stretchOf(answer, from, from + size, text), at];
      if (punctuationCounts) yield [stretchOf(answer, from, from + size, trimMarks(text)), at];
    }
  }
}

/** The same without their places. */
export function* stretches(
  form: Prepared,
  answer: Prepared,
  punctuationCounts: boolean,
): Generator<Prepared> {
  for (const [stretch] of stretchesAt(form, answer, punctuationCounts)) yield stretch;
}
