import { lineText } from '@/core/content/shownText';
import { groupsOfClass, type Member, type SchoolClass, type SetTo } from '@/core/quiz/people/school';
import { now } from '@/device/clock';
import { db, type RecordChange } from '../records/db';
import { StoreError } from '@/device/failure';
import { CLASS_LIST } from '../records/scopes';
import { editing, record } from '../records/steps';
import { newId } from '@/device/ids';

/** A class with its groups, and how many are on its list. */
export interface ListedClass extends SchoolClass {
  readonly groups: readonly string[];
  readonly students: number;
}

/** The made-up school's classes stay apart from the teacher's own. */
export const isDemo = ({ id }: { readonly id: string }): boolean => id.startsWith('demo-');

const inTurn = (a: SchoolClass, b: SchoolClass): number =>
  a.position - b.position || a.name.localeCompare(b.name, undefined, { numeric: true });

/** All classes in their order, also those that were put away. */
export const listClasses = (): Promise<ListedClass[]> =>
  db.transaction('r', db.classes, db.members, async () => {
    const [classes, members] = [await db.classes.toArray(), await db.members.toArray()];
    return classes.sort(inTurn).map((one) => ({
      ...one,
      groups: groupsOfClass(one.id, members),
      students: members.filter(({ classId, removedAt }) => classId === one.id && removedAt === null).length,
    }));
  });

const change = (before: SchoolClass | null, after: SchoolClass): RecordChange => ({
  kind: 'class',
  id: after.id,
  before,
  after,
});

const nameOf = (name: string): string => lineText(name).trim().slice(0, 100);

async function added(name: string): Promise<SchoolClass> {
  const last = Math.max(0, ...(await db.classes.toArray()).map(({ position }) => position));
  return { id: newId(), name: nameOf(name) || 'New class', position: last + 1, archivedAt: null };
}

/** A new class without students, behind the others. Gives its id. */
export const addClass = (name: string): Promise<string> =>
  editing(async () => {
    const after = await added(name);
    await record(CLASS_LIST, [change(null, after)], { label: 'Add a class', field: '' });
    return after.id;
  });

async function found(classId: string): Promise<SchoolClass> {
  const one = await db.classes.get(classId);
  if (!one) throw new StoreError('gone', 'This class is not here any more');
  return one;
}

/** Gives a class another name; an empty one is not taken. */
export const renameClass = (classId: string, name: string): Promise<number | null> =>
  editing(async () => {
    const before = await found(classId);
    const after = { ...before, name: nameOf(name) };
    if (after.name === '') return null;
    return record(CLASS_LIST, [change(before, after)], {
      label: 'Rename a class',
      field: `class:${classId}`,
    });
  });

/** Puts a class away at the end of its year, or takes it out again; its list and all work stay. */
export const setClassAway = (classId: string, away: 'away' | 'back'): Promise<number> =>
  editing(async () => {
    const before = await found(classId);
    const after = { ...before, archivedAt: away === 'away' ? now() : null };
    return record(CLASS_LIST, [change(before, after)], {
      label: away === 'away' ? 'Archive a class' : 'Restore a class',
      field: '',
    });
  });

/** Whether a class can be deleted: nobody is or was on its list, and no quiz is set to it. */
export const canDeleteClass = (classId: string): Promise<boolean> =>
  db.transaction('r', db.members, db.quizzes, async () => {
    const member = await db.members.filter((one) => one.classId === classId).first();
    const quiz = await db.quizzes
      .filter(({ standing }) => standing.setTo.some((set) => set.classId === classId))
      .first();
    return member === undefined && quiz === undefined;
  });

/** Deletes a class that nothing hangs on. Gives the step's number; null where something does. */
export const deleteClass = (classId: string): Promise<number | null> =>
  editing(async () => {
    const before = await found(classId);
    if (!(await canDeleteClass(classId))) return null;
    return record(CLASS_LIST, [{ kind: 'class', id: classId, before, after: null }], {
      label: 'Delete a class',
      field: '',
    });
  });

/**
 * Puts everyone who is on the list of a class on that of another one, which is made where `to` is a name; the first list
 * stays as it was, and is put away. One step. Gives the other class's id and the step's number.
 */
export const moveOn = (
  classId: string,
  to: { readonly classId: string } | { readonly name: string },
): Promise<{ readonly classId: string; readonly step: number }> =>
  editing(async () => {
    const before = await found(classId);
    const target = 'classId' in to ? await found(to.classId) : await added(to.name);
    const all = await db.members.toArray();
    const leaving = all.filter((one) => one.classId === classId && one.removedAt === null);
    const there = new Map(all.filter((one) => one.classId === target.id).map((one) => [one.studentId, one]));
    const moved = leaving.map(({ studentId, groups }): RecordChange => {
      const own: Member | null = there.get(studentId) ?? null;
      const after = { classId: target.id, studentId, groups: own?.groups ?? groups, removedAt: null };
      return { kind: 'member', classId: target.id, studentId, before: own, after };
    });
    const step = await record(
      CLASS_LIST,
      [
        ...('classId' in to ? [] : [change(null, target)]),
        change(before, { ...before, archivedAt: now() }),
        ...moved,
      ],
      { label: 'Move a class on', field: '' },
    );
    return { classId: target.id, step };
  });

/**
 * Whom a new quiz is set to: the only class there is, the teacher's only own one, else those of the quiz that was made
 * last; nobody where that says nothing.
 */
export async function usualClasses(): Promise<SetTo[]> {
  const classes = (await db.classes.toArray()).filter(({ archivedAt }) => archivedAt === null);
  const own = classes.filter((one) => !isDemo(one));
  const [only] = classes.length === 1 ? classes : own.length === 1 ? own : [];
  if (only) return [{ classId: only.id, group: null }];
  const quizzes = (await db.quizzes.toArray()).filter(({ deletedAt }) => deletedAt === null);
  const last = quizzes.sort((a, b) => a.createdAt - b.createdAt).at(-1);
  const there = new Set(classes.map(({ id }) => id));
  return (last?.standing.setTo ?? []).filter(
    ({ classId, studentId }) => there.has(classId) && studentId === undefined,
  );
}
