import { wordList } from './wordLists';

/** Two spellings of one word that the table of the English list lacks. */
const MORE = new Set([
  'foetus fetus',
  'foetuses fetuses',
  'foetal fetal',
  'storey story',
  'storeys stories',
  'mum mom',
  'mums moms',
  'maths math',
]);

const withE = (word: string): string => word.replace(/aem(?=i)/, 'em');

/** Whether two words are the British and the American spelling of one: by the table of a list, and by the few that it lacks. */
export function isSameWord(
  a: string,
  b: string,
  { list, language }: { readonly list: string; readonly language: string },
): boolean {
  if (wordList(list).sameWord(a, b)) return true;
  if (!/^en\b/i.test(language)) return false;
  return withE(a) === withE(b) || MORE.has(`${a} ${b}`) || MORE.has(`${b} ${a}`);
}
