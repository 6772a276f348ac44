import type { RosterChange } from '@/core/formats/rosterFile';
import { shownText } from '@/core/content/shownText';
import { newStudent, personOf } from '@/core/quiz/people/newStudent';
import {
  studentsOfClass,
  studentsSet,
  type Member,
  type MoreTime,
  type Person,
  type SetTo,
  type Student,
} from '@/core/quiz/people/school';
import { now } from '@/device/clock';
import { db, type RecordChange } from '../records/db';
import { StoreError } from '@/device/failure';
import { CLASS_LIST } from '../records/scopes';
import { editing, record } from '../records/steps';
import { newId } from '@/device/ids';

/** People, and the lists of the classes that they are on. */

/** Everybody, in whichever class. */
export const everybody = (): Promise<Person[]> => db.students.toArray();

/** Everybody, and who is or was on which list. */
export const school = (): Promise<[Person[], Member[]]> =>
  db.transaction('r', db.students, db.members, async () => [
    await db.students.toArray(),
    await db.members.toArray(),
  ]);

/** Everyone who is or was on the list of a class: their work stays when they are taken off. */
export async function classList(classId: string): Promise<Student[]> {
  const [people, members] = await school();
  return studentsOfClass(classId, people, members);
}

/** Everyone whom a quiz is set to, and who was taken off those lists. */
export async function studentsSetTo(setTo: readonly SetTo[]): Promise<Student[]> {
  const [people, members] = await school();
  return studentsSet(setTo, people, members);
}

/** The same without those who were taken off. */
export const listedStudents = async (setTo: readonly SetTo[]): Promise<Student[]> =>
  (await studentsSetTo(setTo)).filter(({ removedAt }) => removedAt === null);

const personChange = (before: Person | null, after: Person): RecordChange => ({
  kind: 'student',
  id: after.id,
  before,
  after,
});

const memberChange = (before: Member | null, after: Member): RecordChange => ({
  kind: 'member',
  classId: after.classId,
  studentId: after.studentId,
  before,
  after,
});

/** Puts a new student of this name on the list of a class, into groups of it. */
export const addStudent = (classId: string, name: string, groups: string[] = []): Promise<void> =>
  editing(async () => {
    const student = newStudent(newId(), name);
    const member = { classId, studentId: student.id, groups, removedAt: null };
    await record(CLASS_LIST, [personChange(null, personOf(student)), memberChange(null, member)], {
      label: 'Add a student',
      field: '',
    });
  });

type Patch = Partial<Pick<Person, 'name' | 'number' | 'email'> & { moreTime: MoreTime | null }>;

const cleaned = (patch: Patch): Patch => ({
  ...patch,
  ...(patch.name === undefined ? {} : { name: shownText(patch.name) }),
  ...(patch.number === undefined ? {} : { number: shownText(patch.number) }),
  ...(patch.email === undefined ? {} : { email: shownText(patch.email) }),
});

const GONE = 'This student is not on the class list any more';

/** Changes what belongs to a person, on every list; the rest stays as it is stored. Gives the step's number. */
export const saveStudent = (studentId: string, patch: Patch): Promise<number> =>
  editing(async () => {
    const before = await db.students.get(studentId);
    if (!before) throw new StoreError('gone', GONE);
    return record(CLASS_LIST, [personChange(before, { ...before, ...cleaned(patch) })], {
      label: 'Edit a student',
      field: `${studentId}:${Object.keys(patch).join()}`,
    });
  });

/** Changes a student's place on the list of one class. Gives the step's number. */
const changeMember = (
  classId: string,
  studentId: string,
  patch: Partial<Member>,
  label: { label: string; field: string },
): Promise<number> =>
  editing(async () => {
    const before = await db.members.get([classId, studentId]);
    if (!before) throw new StoreError('gone', GONE);
    return record(CLASS_LIST, [memberChange(before, { ...before, ...patch })], label);
  });

/** Puts a student into groups of a class, and out of its other ones. */
export const saveGroups = (classId: string, studentId: string, groups: string[]): Promise<number> =>
  changeMember(
    classId,
    studentId,
    { groups },
    { label: 'Edit a student', field: `${classId}:${studentId}:groups` },
  );

/** Takes a student off the list of a class, or puts the student back; the work stays. */
export const setRemoved = (classId: string, studentId: string, removed: 'off' | 'back'): Promise<number> =>
  changeMember(
    classId,
    studentId,
    { removedAt: removed === 'off' ? now() : null },
    { label: removed === 'off' ? 'Remove a student from the list' : 'Add a student back', field: '' },
  );

/** Imports the rows of a class file, all or none. Gives the number of the step that can be undone; null for no rows. */
export const importRoster = (classId: string, rows: readonly RosterChange[]): Promise<number | null> =>
  editing(async () => {
    if (rows.length === 0) return null;
    const ids = rows.map(({ student, known }) => (known ? student.id : newId()));
    const people = await db.students.bulkGet(ids);
    const members = await db.members.bulkGet(ids.map((id): [string, string] => [classId, id]));
    const changes = rows.flatMap(({ student }, at) => {
      const studentId = ids[at] ?? '';
      const { groups, removedAt } = student;
      return [
        personChange(people[at] ?? null, { ...personOf(student), id: studentId }),
        memberChange(members[at] ?? null, { classId, studentId, groups, removedAt }),
      ];
    });
    return record(CLASS_LIST, changes, { label: 'Import a class list', field: '' });
  });
