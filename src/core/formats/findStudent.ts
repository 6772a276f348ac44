import { comparedText } from '../answers/text/prepare';
import { DEFAULT_SETTINGS } from '../answers/text/settings';
import type { Student } from '../quiz/attempt';

/** How names and headings of files are compared: capitals, punctuation and spaces apart. */
export const compared = (text: string): string => comparedText(text, DEFAULT_SETTINGS, 'en');

/** Who a row is about: a student, somebody unknown, or why that cannot be said. `odd`: what does not quite fit. */
type Found = { readonly student: Student | null; readonly odd: string | null } | { readonly problem: string };

/** A row whose number is one student's and whose name is written otherwise, or is another student's. */
function byItsNumber(student: Student, name: string, namesakes: readonly Student[]): Found {
  if (name === '' || compared(name) === compared(student.name)) return { student, odd: null };
  const says = `${student.number} is the number of ${student.name}, and the row says ${name}`;
  return namesakes.length > 0 ? { problem: says } : { student, odd: `${says}: taken as ${student.name}` };
}

/** Finds students by number, else by a name that only one of them has. */
export function studentFinder(students: readonly Student[]): (name: string, number: string) => Found {
  const byNumber = new Map(students.filter((s) => s.number !== '').map((s) => [s.number, s]));
  const byName = new Map<string, Student[]>();
  for (const student of students) {
    const key = compared(student.name);
    const named = byName.get(key);
    if (named) named.push(student);
    else byName.set(key, [student]);
  }
  return (name, number) => {
    if (name === '' && number === '') return { problem: 'no name and no number' };
    if (name.length > 200) return { problem: 'the name is longer than 200 characters' };
    if (number.length > 60) return { problem: 'the number is longer than 60 characters' };
    const named = byName.get(compared(name)) ?? [];
    const numbered = number === '' ? undefined : byNumber.get(number);
    if (numbered) return byItsNumber(numbered, name, named);
    if (named.length > 1) return { problem: `more than one student is called ${name}` };
    const only = named[0];
    if (only && number !== '' && only.number !== '')
      return { problem: `${name} has another number on the list` };
    return { student: only ?? null, odd: null };
  };
}
