import type { RosterChange } from '@/core/formats/rosterFile';
import type { Student } from '@/core/quiz/attempt';
import { now } from './clock';
import { db, type RecordChange } from './db';
import { CLASS_LIST, editing, record } from './history';
import { newId } from './ids';
import { lineText, shownText } from '@/core/quiz/shownText';

export const newStudent = (id: string, name: string): Student => ({
  id,
  name: lineText(name).slice(0, 200),
  number: '',
  groups: [],
  removedAt: null,
});

/** Everyone who is or was on the class list: their work stays when they are taken off. */
export const everyStudent = (): Promise<Student[]> => db.students.toArray();

/** The class list. */
export const listStudents = async (): Promise<Student[]> =>
  (await everyStudent()).filter((student) => student.removedAt === null);

const studentChange = (before: Student | null, after: Student): RecordChange => ({
  kind: 'student', id: after.id, before, after,
}); // prettier-ignore

/** Puts a student of this name on the class list. */
export const addStudent = (name: string): Promise<void> =>
  editing(async () => {
    await record(CLASS_LIST, [studentChange(null, newStudent(newId(), name))], {
      label: 'Add a student',
      field: '',
    });
  });

/** Changes some of what is known of a student; the rest stays as it is stored. */
const changeStudent = (
  studentId: string,
  patch: Partial<Student>,
  label: string,
  field: string,
): Promise<void> =>
  editing(async () => {
    const before = await db.students.get(studentId);
    if (before) await record(CLASS_LIST, [studentChange(before, { ...before, ...patch })], { label, field });
  });

type Patch = Partial<Pick<Student, 'name' | 'number' | 'groups'>>;

const cleaned = (patch: Patch): Patch => ({
  ...patch,
  ...(patch.name === undefined ? {} : { name: shownText(patch.name) }),
  ...(patch.number === undefined ? {} : { number: shownText(patch.number) }),
});

/** Changes name, number or groups of a student. */
export const saveStudent = (studentId: string, patch: Patch): Promise<void> =>
  changeStudent(studentId, cleaned(patch), 'Edit a student', `${studentId}:${Object.keys(patch).join()}`);

/** Takes a student off the class list, or puts the student back; the work stays. */
export const setRemoved = (studentId: string, removed: 'off' | 'back'): Promise<void> =>
  changeStudent(
    studentId,
    { removedAt: removed === 'off' ? now() : null },
    removed === 'off' ? 'Take a student off the list' : 'Put a student back',
    '',
  );

/** Takes the rows of a roster file in, all or none. */
export const importRoster = (rows: readonly RosterChange[]): Promise<void> =>
  editing(async () => {
    if (rows.length === 0) return;
    const changes: RecordChange[] = [];
    for (const { student, known } of rows) {
      const before = known ? ((await db.students.get(student.id)) ?? null) : null;
      changes.push(studentChange(before, known ? student : { ...student, id: newId() }));
    }
    await record(CLASS_LIST, changes, { label: 'Take in a class list', field: '' });
  });
