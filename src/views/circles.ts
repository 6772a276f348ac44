import type { SetTo } from '@/core/quiz/people/school';
import { listedStudents, studentsSetTo } from '@/store/class/roster';
import { head } from '@/store/quiz/quizzes';
import { db } from '@/store/records/db';

/** A class or a group of those who take a quiz, by name. */
export interface Circle {
  readonly kind: 'class' | 'group';
  readonly name: string;
  readonly studentIds: readonly string[];
}

/** Classes and groups, each with those of its students who are meant; none where it would be everybody. */
export async function circlesOf(setTo: readonly SetTo[], meant: ReadonlySet<string>): Promise<Circle[]> {
  const names = new Map((await db.classes.toArray()).map(({ id, name }) => [id, name]));
  const classIds = [...new Set(setTo.map(({ classId }) => classId))];
  const circles = await Promise.all(
    classIds.map(async (classId): Promise<Circle[]> => {
      const own = setTo.filter((one) => one.classId === classId);
      const students = (await studentsSetTo(own)).filter(({ id }) => meant.has(id));
      const className = names.get(classId) ?? '';
      const groups = [...new Set(students.flatMap((student) => student.groups))].sort();
      const inGroup = (group: string): Circle => ({
        kind: 'group',
        name: classIds.length > 1 ? `${className}, ${group}` : group,
        studentIds: students.filter((student) => student.groups.includes(group)).map(({ id }) => id),
      });
      return [
        { kind: 'class', name: className, studentIds: students.map(({ id }) => id) },
        ...groups.map(inGroup),
      ];
    }),
  );
  return circles.flat().filter(({ studentIds }) => studentIds.length > 0 && studentIds.length < meant.size);
}

/** Classes and groups of everybody who takes a quiz. */
export async function circles(quizId: string): Promise<Circle[]> {
  const { setTo } = (await head(quizId)).standing;
  const listed = await listedStudents(setTo);
  return circlesOf(setTo, new Set(listed.map(({ id }) => id)));
}
