import { count } from './figures';
import type { SchoolClass, SetTo } from '@/core/quiz/people/school';

const list = new Intl.ListFormat('en', { type: 'conjunction' });

/** Whom a quiz is set to: `8C and 8D (blue, green and 1 student)`; empty for nobody. */
export function setToWords(
  setTo: readonly SetTo[],
  classes: readonly Pick<SchoolClass, 'id' | 'name'>[],
): string {
  const words = classes.flatMap(({ id, name }) => {
    const own = setTo.filter(({ classId }) => classId === id);
    if (own.length === 0) return [];
    const alone = own.filter(({ studentId }) => studentId !== undefined).length;
    if (own.some(({ group, studentId }) => group === null && studentId === undefined)) return [name];
    const parts = [
      ...own.flatMap(({ group }) => group ?? []),
      ...(alone > 0 ? [count(alone, 'student')] : []),
    ];
    return [`${name} (${list.format(parts)})`];
  });
  return list.format(words);
}
