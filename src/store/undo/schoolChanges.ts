import { same } from '@/core/figures/deepEqual';
import type { Member } from '@/core/quiz/people/school';
import { merge } from '@/core/quiz/merge';
import { db, type RecordChange } from '../records/db';
import { only, type Of } from '../records/write';

/** People, their places on lists, and classes: what undo and redo may write of them, as several scopes share them. */

type Shared = Of<'student' | 'member' | 'class'>;

/** A change made in what is stored now; none where the same place has been changed since. */
function inStored<Change extends Shared>(change: Change, stored: Change['before']): Change[] {
  const { before, after } = change;
  if (same(stored, after)) return [];
  if (before === null) return stored === null ? [change] : [];
  if (after === null) return same(stored, before) ? [change] : [];
  if (stored === null) return [];
  const made = merge<Change['before']>(before, after, stored);
  return made.ok ? [{ ...change, before: stored, after: made.value }] : [];
}

const goes = ({ after }: Shared): boolean => after === null;
const placeOf = ({ classId, studentId }: Pick<Member, 'classId' | 'studentId'>): string =>
  `${classId}/${studentId}`;

/** What else depends on people and classes, besides what goes with the step. */
interface Dependants {
  /** The quizzes at which each of the students has work. */
  readonly work: ReadonlyMap<string, ReadonlySet<string>>;
  /** Places on lists of the students and classes in question. */
  readonly places: readonly Member[];
  /** The classes that each quiz is set to. */
  readonly setTo: ReadonlyMap<string, ReadonlySet<string>>;
}

async function dependantsOf(changes: readonly RecordChange[]): Promise<Dependants> {
  const students = new Set([
    ...only(changes, 'student')
      .filter(goes)
      .map(({ id }) => id),
    ...only(changes, 'member')
      .filter(goes)
      .map(({ studentId }) => studentId),
  ]);
  const classes = new Set(
    only(changes, 'class')
      .filter(goes)
      .map(({ id }) => id),
  );
  const placesGoing = new Set(only(changes, 'member').filter(goes).map(placeOf));
  const attemptsGoing = new Set(
    only(changes, 'attempt')
      .filter(({ after }) => after === null)
      .map(({ id }) => id),
  );
  const work = new Map<string, Set<string>>();
  if (students.size > 0)
    await db.attempts
      .filter(({ id, studentId }) => students.has(studentId) && !attemptsGoing.has(id))
      .each(({ quizId, studentId }) => {
        work.set(studentId, (work.get(studentId) ?? new Set()).add(quizId));
      });
  const places = await db.members
    .filter(
      (one) => (students.has(one.studentId) || classes.has(one.classId)) && !placesGoing.has(placeOf(one)),
    )
    .toArray();
  const quizzes = await db.quizzes.toArray();
  const setTo = new Map(
    quizzes.map(({ id, standing }) => [id, new Set(standing.setTo.map(({ classId }) => classId))]),
  );
  return { work, places, setTo };
}

/** The changes of people, lists and classes that may be made now, each in what is stored. */
export async function schoolChanges(changes: readonly RecordChange[]): Promise<RecordChange[]> {
  const [students, members, classes] = [
    only(changes, 'student'),
    only(changes, 'member'),
    only(changes, 'class'),
  ];
  if (students.length + members.length + classes.length === 0) return [];
  const [storedStudents, storedMembers, storedClasses, { work, places, setTo }] = await Promise.all([
    db.students.bulkGet(students.map(({ id }) => id)),
    db.members.bulkGet(members.map(({ classId, studentId }): [string, string] => [classId, studentId])),
    db.classes.bulkGet(classes.map(({ id }) => id)),
    dependantsOf(changes),
  ]);
  const studentsMade = students.flatMap((change, at) => {
    const isNeeded = work.has(change.id) || places.some(({ studentId }) => studentId === change.id);
    return goes(change) && isNeeded ? [] : inStored(change, storedStudents[at] ?? null);
  });
  const made = new Set(studentsMade.map(({ id }) => id));
  const staying = new Set(students.filter((one) => goes(one) && !made.has(one.id)).map(({ id }) => id));
  const membersMade = members.flatMap((change, at) => {
    const { classId, studentId } = change;
    const worksHere = [...(work.get(studentId) ?? [])].some((quizId) => setTo.get(quizId)?.has(classId));
    const isNeeded = staying.has(studentId) || worksHere;
    return goes(change) && isNeeded ? [] : inStored(change, storedMembers[at] ?? null);
  });
  const stays = new Set([
    ...places.map(({ classId }) => classId),
    ...members.filter((one) => goes(one) && !membersMade.includes(one)).map(({ classId }) => classId),
    ...[...setTo.values()].flatMap((ids) => [...ids]),
  ]);
  const classesMade = classes.flatMap((change, at) =>
    goes(change) && stays.has(change.id) ? [] : inStored(change, storedClasses[at] ?? null),
  );
  return [...studentsMade, ...membersMade, ...classesMade];
}
