import type { QuizStanding } from '../quiz';
import type { Member, Person } from '../people/school';
import type { Belonging } from '../people/target';
import { windowFor, type StudentWindow, type WindowFields } from './windows';

/** Which classes and groups each student is in; of those who were taken off every list, which they were in. */
export function belongings(members: readonly Member[]): ReadonlyMap<string, Belonging> {
  const own = new Map<string, Member[]>();
  for (const member of members) {
    const known = own.get(member.studentId);
    if (known) known.push(member);
    else own.set(member.studentId, [member]);
  }
  return new Map(
    [...own].map(([studentId, all]) => {
      const listed = all.filter(({ removedAt }) => removedAt === null);
      const those = listed.length > 0 ? listed : all;
      const groups = those.flatMap(({ classId, groups: names }) =>
        names.map((group) => ({ classId, group })),
      );
      return [studentId, { studentId, classes: those.map(({ classId }) => classId), groups }];
    }),
  );
}

/** The window of each student of a quiz: of somebody unknown, the one of everyone. */
export function windowsOf(
  quiz: WindowFields,
  { windows, pauses }: Pick<QuizStanding, 'windows' | 'pauses'>,
  people: readonly Pick<Person, 'id' | 'moreTime'>[],
  members: readonly Member[],
): (studentId: string) => StudentWindow {
  const whole = windowFor(quiz, [], pauses, { studentId: '', classes: [], groups: [], moreTime: null });
  if (windows.length === 0 && quiz.timeLimit === null) return () => whole;
  const moreTime = new Map(people.map((person) => [person.id, person.moreTime]));
  const belonging = belongings(members);
  const made = new Map<string, StudentWindow>();
  return (studentId) => {
    let window = made.get(studentId);
    if (!window) {
      const who = belonging.get(studentId) ?? { studentId, classes: [], groups: [] };
      window = windowFor(quiz, windows, pauses, { ...who, moreTime: moreTime.get(studentId) ?? null });
      made.set(studentId, window);
    }
    return window;
  };
}
