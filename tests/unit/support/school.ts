import { personOf } from '@/core/quiz/people/newStudent';
import { studentsOfClass, type Person, type Student } from '@/core/quiz/people/school';
import { db } from '@/store/records/db';
import { CLASS_8C, MEMBERS, STUDENTS } from '../../../demo/classes';

/** The made-up class as its list has it. */
export const DEMO_STUDENTS: readonly Student[] = studentsOfClass(CLASS_8C.id, STUDENTS, MEMBERS);

export type Said = Partial<Student> & Pick<Person, 'id' | 'name'>;

/** A student of whom little is said. */
export const student = (said: Said): Student => ({
  number: '',
  email: '',
  moreTime: null,
  groups: [],
  removedAt: null,
  ...said,
});

/** Puts students on the list of one class, which is made if it is not there. */
export async function putStudents(students: readonly Said[], classId = 'c1'): Promise<void> {
  const whole = students.map(student);
  if (!(await db.classes.get(classId)))
    await db.classes.add({ id: classId, name: classId, position: 1, archivedAt: null });
  await db.students.bulkPut(whole.map(personOf));
  await db.members.bulkPut(
    whole.map(({ id, groups, removedAt }) => ({ classId, studentId: id, groups, removedAt })),
  );
}
