import type { SchoolClass, SetTo } from '@/core/quiz/people/school';

const list = new Intl.ListFormat('en', { type: 'conjunction' });

/** Whom a quiz is set to: `8C and 8D (blue and green)`; empty for nobody. */
export function setToWords(
  setTo: readonly SetTo[],
  classes: readonly Pick<SchoolClass, 'id' | 'name'>[],
): string {
  const words = classes.flatMap(({ id, name }) => {
    const own = setTo.filter(({ classId }) => classId === id);
    if (own.length === 0) return [];
    const groups = own.flatMap(({ group }) => group ?? []);
    return [own.some(({ group }) => group === null) ? name : `${name} (${list.format(groups)})`];
  });
  return list.format(words);
}
