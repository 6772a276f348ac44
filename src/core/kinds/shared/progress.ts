/** How far a question has been answered: not at all, in some of its parts, or in all of them. */
export type Progress = 'none' | 'some' | 'all';

/** So many parts given, out of so many. */
export const progressOf = (given: number, parts: number): Progress =>
  given === 0 ? 'none' : given < parts ? 'some' : 'all';

/** How many of these have an entry in an answer's record. */
export const givenFor = (ids: readonly { readonly id: string }[], record: object | undefined): number =>
  record === undefined ? 0 : ids.filter(({ id }) => Object.hasOwn(record, id)).length;

/** Of an answer that has no parts: it is there, or it is not. Spaces alone are no answer. */
export function wholeProgress(_: unknown, answer: object | null): Progress {
  if (answer === null) return 'none';
  return 'text' in answer && String(answer.text).trim() === '' ? 'none' : 'all';
}
