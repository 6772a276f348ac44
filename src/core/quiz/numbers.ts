import type { KindName } from '../kinds';
import { asksFor } from '../kinds/progress';

interface Counted {
  readonly id: string;
  readonly kind: KindName;
}

/** The number of each question, in their order, the first being 1: what students are asked is counted, and a note has none. */
export const numbersOf = (questions: readonly Counted[]): ReadonlyMap<string, number> =>
  new Map(questions.filter(asksFor).map(({ id }, at) => [id, at + 1]));

/** What each is called in a sentence: *question 3*, or *note 1*, which is counted among the notes. */
export function namesOf(questions: readonly Counted[]): ReadonlyMap<string, string> {
  const notes = questions.filter((one) => !asksFor(one));
  const asked = [...numbersOf(questions)].map(([id, number]) => [id, `question ${number}`] as const);
  return new Map([...asked, ...notes.map(({ id }, at) => [id, `note ${at + 1}`] as const)]);
}

/** The same of one of them, with a capital where it begins a sentence. */
export const calledOf = (questions: readonly Counted[], id: string): string =>
  namesOf(questions).get(id) ?? 'a question that is gone';

export const asBegun = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
