import type { RosterChange } from '@/core/formats/rosterFile';
import type { Student } from '@/core/quiz/attempt';
import { now } from './clock';
import { db } from './db';
import { newId } from './ids';

export const newStudent = (id: string, name: string): Student => ({
  id,
  name: name.trim().slice(0, 200),
  number: '',
  groups: [],
  removedAt: null,
});

/** Everyone who is or was on the class list: their work stays when they are taken off. */
export const everyStudent = (): Promise<Student[]> => db.students.toArray();

/** The class list. */
export const listStudents = async (): Promise<Student[]> =>
  (await everyStudent()).filter((student) => student.removedAt === null);

/** Puts a student of this name on the class list. */
export async function addStudent(name: string): Promise<void> {
  await db.students.add(newStudent(newId(), name));
}

/** Changes some of what is known of a student; the rest stays as it is stored. */
export async function saveStudent(
  studentId: string,
  patch: Partial<Pick<Student, 'name' | 'number' | 'groups'>>,
): Promise<void> {
  await db.students.update(studentId, patch);
}

/** Takes a student off the class list, or puts the student back; the work stays. */
export async function setRemoved(studentId: string, removed: 'off' | 'back'): Promise<void> {
  await db.students.update(studentId, { removedAt: removed === 'off' ? now() : null });
}

/** Takes the rows of a roster file in, all or none. */
export const importRoster = (changes: readonly RosterChange[]): Promise<void> =>
  db.transaction('rw', db.students, async () => {
    await db.students.bulkPut(
      changes.map(({ student, known }) => (known ? student : { ...student, id: newId() })),
    );
  });
