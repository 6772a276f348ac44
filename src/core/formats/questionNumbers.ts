import { asksFor } from '../kinds/progress';
import type { Question } from '../kinds';

/** True for a number that means another question where notes are counted than where they are not. */
export const canMeanTwo = (number: number, questions: readonly Question[]): boolean =>
  questions[number - 1] !== questions.filter(asksFor)[number - 1];

/**
 * The questions as numbers from outside count them, the first being 1. Notes are not counted, but once were: a number beyond
 * what the quiz asks shows that they are, one that would be a note's that they are not. null where neither is there, and
 * it makes a difference.
 */
export function countedBy(
  numbers: readonly number[],
  questions: readonly Question[],
): readonly Question[] | null {
  const asked = questions.filter(asksFor);
  if (!numbers.some((number) => canMeanTwo(number, questions))) return asked;
  const withNotes = numbers.some((number) => number > asked.length && number <= questions.length);
  const isNotes = numbers.some((number) => {
    const one = questions[number - 1];
    return one !== undefined && !asksFor(one);
  });
  if (withNotes === isNotes) return null;
  return withNotes ? questions : asked;
}
