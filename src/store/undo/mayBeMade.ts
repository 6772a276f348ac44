import { merge } from '@/core/quiz/merge';
import { attemptState } from '@/core/quiz/times/window';
import { db, type RecordChange } from '../records/db';
import { ofQuiz } from '../records/ofQuiz';
import { only, type Of } from '../records/write';
import { windowsIn } from '../quiz/windows';
import { schoolChanges } from './schoolChanges';

/**
 * What undo and redo may touch. A history is linear in its own scope (a quiz, the class list, the Shelf), but people, their
 * places on lists and classes belong to several scopes, and students' work to none. So:
 *
 * - A record that several scopes share changes only in the fields that the step wrote and nobody has changed since.
 * - A person, a place on a list or a class that came with a step goes with it only while nothing else depends on it: no
 *   work that came otherwise, no other list, no quiz that is set to it.
 * - An attempt keeps what its student has written since. One that was handed in or ended since is not touched, and
 *   neither are the times and rulings that were set with it.
 * - Times are not set back where work that was in time would become too late by that.
 *
 * What may not be made is left out, and whoever pressed is told so.
 */

/**
 * Changes of attempts made in what their students have written since: that is no part of any step. Of an attempt that was
 * handed in since, or changed in the same place, nothing is written.
 */
async function inStudentsWork(changes: readonly Of<'attempt'>[]): Promise<readonly Of<'attempt'>[]> {
  const between = changes.filter(({ before, after }) => before !== null && after !== null);
  const stored = await db.attempts.bulkGet(between.map(({ id }) => id));
  const storedById = new Map(stored.flatMap((one) => (one ? [[one.id, one] as const] : [])));
  return changes.flatMap((change) => {
    const current = storedById.get(change.id);
    const { before, after } = change;
    if (!current || !before || !after) return [change];
    const made = merge({ ...before, seq: current.seq }, { ...after, seq: current.seq }, current);
    return made.ok ? [{ ...change, after: made.value }] : [];
  });
}

/** True where work that is in time would be too late once the times are as this change makes them. */
async function makesWorkLate(scope: string, change: Of<'standing'>): Promise<boolean> {
  const quiz = await db.quizzes.get(scope);
  if (!quiz) return false;
  const attempts = await ofQuiz.attempts(scope).toArray();
  const later = { content: quiz.content, standing: { ...quiz.standing, ...change.after } };
  const [windowNow, windowThen] = await Promise.all([windowsIn(quiz), windowsIn(later)]);
  return attempts.some((attempt) => {
    const { studentId, handedInAt } = attempt;
    if (handedInAt === null) return false;
    const isTooLate = (windowOf: typeof windowNow) =>
      attemptState(attempt, windowOf(studentId), handedInAt) === 'tooLate';
    return !isTooLate(windowNow) && isTooLate(windowThen);
  });
}

const SHARED = new Set<RecordChange['kind']>(['student', 'member', 'class', 'attempt']);

/** Of the changes that undo or redo would write, those that may be written now, each as it is made in what is stored. */
export async function mayBeMade(scope: string, changes: readonly RecordChange[]): Promise<RecordChange[]> {
  const asked = only(changes, 'attempt');
  const attempts = await inStudentsWork(asked);
  const made = new Set(attempts.map(({ id }) => id));
  const goneOn = new Set(asked.map(({ id }) => id).filter((id) => !made.has(id)));
  const school = await schoolChanges(changes);
  const own: RecordChange[] = [];
  for (const change of changes) {
    if (SHARED.has(change.kind)) continue;
    if (change.kind === 'ruling' && goneOn.has(change.attemptId)) continue;
    if (change.kind === 'standing' && (goneOn.size > 0 || (await makesWorkLate(scope, change)))) continue;
    own.push(change);
  }
  return [...own, ...attempts, ...school];
}
