import { classUnder, KEEP_ALL } from '@/core/formats/quizFile/underIds';
import type { QuizFile, Ticket } from '@/core/formats/quizFile/schema';
import { same } from '@/core/figures/deepEqual';
import type { Member, Person, SchoolClass } from '@/core/quiz/people/school';
import { db, type RecordChange } from '../records/db';
import { CLASS_LIST } from '../records/scopes';
import { record } from '../records/steps';
import { giveTickets, takeTickets } from '../records/tickets';
import { only, writeChanges } from '../records/write';
import { newSchoolIds, type Before } from './newIds';

/** Students, classes and lists that a file brings: who is here stays as here, and others come as a step that can be undone. */

export interface School {
  readonly students: readonly Person[];
  readonly classes: readonly SchoolClass[];
  readonly members: readonly Member[];
  /** Of a backup alone. */
  readonly tickets?: readonly Ticket[];
}

/** Tickets of the students that a school names; of anybody else a file says nothing. */
function ofThose({ students, tickets = [] }: School): Ticket[] {
  const ids = new Set(students.map(({ id }) => id));
  return tickets.filter(({ studentId }) => ids.has(studentId));
}

/** What of a school is not here, or is to be written as the file has it, as changes that can be undone. */
async function schoolChanges(
  { students, classes, members }: School,
  which: 'mine' | 'theirs',
): Promise<RecordChange[]> {
  const [people, lists, places] = await Promise.all([
    db.students.bulkGet(students.map(({ id }) => id)),
    db.classes.bulkGet(classes.map(({ id }) => id)),
    db.members.bulkGet(members.map(({ classId, studentId }): [string, string] => [classId, studentId])),
  ]);
  return [
    ...students.flatMap((after, at): RecordChange[] => {
      const before = people[at] ?? null;
      const stays = before !== null && (which === 'mine' || same(before, after));
      return stays ? [] : [{ kind: 'student', id: after.id, before, after }];
    }),
    ...classes.flatMap((after, at): RecordChange[] =>
      lists[at] ? [] : [{ kind: 'class', id: after.id, before: null, after }],
    ),
    ...members.flatMap((after, at): RecordChange[] => {
      const { classId, studentId } = after;
      return places[at] ? [] : [{ kind: 'member', classId, studentId, before: null, after }];
    }),
  ];
}

/** Whom a file brings who is not here: said before it is taken in. */
export interface Brought {
  readonly students: number;
  /** Lists that get longer: of classes that are here, and of those that come. */
  readonly lists: readonly { readonly name: string; readonly students: number; readonly isNew: boolean }[];
}

/** What a school in a file would add to what is here. */
export async function broughtBy(school: School): Promise<Brought> {
  const changes = await schoolChanges(school, 'mine');
  const added = only(changes, 'member').filter(({ after }) => after?.removedAt === null);
  const fresh = new Map(only(changes, 'class').map(({ id, after }) => [id, after?.name ?? '']));
  const ids = [...new Set([...fresh.keys(), ...added.map(({ classId }) => classId)])];
  const here = await db.classes.bulkGet(ids);
  return {
    students: only(changes, 'student').length,
    lists: ids.map((id, at) => ({
      name: here[at]?.name ?? fresh.get(id) ?? '',
      students: added.filter(({ classId }) => classId === id).length,
      isNew: fresh.has(id),
    })),
  };
}

/** Where a school stands in a file and nobody is here yet, it comes in as it is; else as a step of the class list. Gives the step. */
export async function writeSchool(
  school: School,
  which: 'mine' | 'theirs',
  { students, classes }: Before,
): Promise<number | null> {
  const changes = await schoolChanges(school, which);
  const isFirst = students.size + classes.size === 0;
  // Before anybody who comes is given another one.
  await takeTickets(ofThose(school));
  if (isFirst) await writeChanges(CLASS_LIST, changes);
  await giveTickets(school.students.map(({ id }) => id));
  return isFirst || changes.length === 0
    ? null
    : record(CLASS_LIST, changes, { label: 'Add students from a file', field: '' });
}

/** A quiz file with its people and classes under ids that belong here to nobody else. */
export async function amongOthers(file: QuizFile): Promise<QuizFile> {
  if (!file.class) return file;
  const ids = { ...KEEP_ALL, ...(await newSchoolIds(file.class)) };
  return { ...file, class: classUnder(file.class, ids) };
}
