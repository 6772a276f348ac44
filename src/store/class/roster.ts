import type { RosterChange } from '@/core/formats/rosterFile';
import type { Student } from '@/core/quiz/attempt';
import { now } from '../records/clock';
import { db, type RecordChange } from '../records/db';
import { StoreError } from '../records/failure';
import { CLASS_LIST, editing, record } from '../records/history';
import { newId } from '../records/ids';
import { newStudent } from '@/core/quiz/newStudent';
import { shownText } from '@/core/content/shownText';

/** Everyone who is or was on the class list: their work stays when they are taken off. */
export const everyStudent = (): Promise<Student[]> => db.students.toArray();

/** The class list. */
export const listStudents = async (): Promise<Student[]> =>
  (await everyStudent()).filter((student) => student.removedAt === null);

const studentChange = (before: Student | null, after: Student): RecordChange => ({
  kind: 'student',
  id: after.id,
  before,
  after,
});

/** Puts a student of this name on the class list. */
export const addStudent = (name: string): Promise<void> =>
  editing(async () => {
    await record(CLASS_LIST, [studentChange(null, newStudent(newId(), name))], {
      label: 'Add a student',
      field: '',
    });
  });

/** Changes some of what is known of a student; the rest stays as it is stored. Gives the step's number. */
const changeStudent = (
  studentId: string,
  patch: Partial<Student>,
  label: string,
  field: string,
): Promise<number> =>
  editing(async () => {
    const before = await db.students.get(studentId);
    if (!before) throw new StoreError('gone', 'This student is not on the class list any more');
    return record(CLASS_LIST, [studentChange(before, { ...before, ...patch })], { label, field });
  });

type Patch = Partial<Pick<Student, 'name' | 'number' | 'email' | 'groups'>>;

const cleaned = (patch: Patch): Patch => ({
  ...patch,
  ...(patch.name === undefined ? {} : { name: shownText(patch.name) }),
  ...(patch.number === undefined ? {} : { number: shownText(patch.number) }),
  ...(patch.email === undefined ? {} : { email: shownText(patch.email) }),
});

/** Changes name, number, e-mail address or groups of a student. */
export const saveStudent = (studentId: string, patch: Patch): Promise<number> =>
  changeStudent(studentId, cleaned(patch), 'Edit a student', `${studentId}:${Object.keys(patch).join()}`);

/** Takes a student off the class list, or puts the student back; the work stays. */
export const setRemoved = (studentId: string, removed: 'off' | 'back'): Promise<number> =>
  changeStudent(
    studentId,
    { removedAt: removed === 'off' ? now() : null },
    removed === 'off' ? 'Take a student off the list' : 'Put a student back',
    '',
  );

/** Imports the rows of a class file, all or none. Gives the number of the step that can be undone; null for no rows. */
export const importRoster = (rows: readonly RosterChange[]): Promise<number | null> =>
  editing(async () => {
    if (rows.length === 0) return null;
    const here = await db.students.bulkGet(rows.map(({ student }) => student.id));
    const changes = rows.map(({ student, known }, index) =>
      studentChange(known ? (here[index] ?? null) : null, known ? student : { ...student, id: newId() }),
    );
    return record(CLASS_LIST, changes, { label: 'Import a class list', field: '' });
  });
