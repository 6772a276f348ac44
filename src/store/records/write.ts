import type { Table } from 'dexie';
import { now } from '@/device/clock';
import { db, type QuizRecord, type RecordChange } from './db';
import { CLASS_LIST } from './scopes';
import { nextSeq, nextSeqs } from './sequence';
import { giveTickets } from './tickets';

/** How the changes of a step are written, table by table. */

type Kind = RecordChange['kind'];
export type Of<K extends Kind> = Extract<RecordChange, { kind: K }>;
export const only = <K extends Kind>(changes: readonly RecordChange[], kind: K): Of<K>[] =>
  changes.filter((change): change is Of<K> => change.kind === kind);

/** True where a change affects scores, so that every view of them is refreshed. */
function movesScores(change: RecordChange): boolean {
  if (change.kind === 'ruling') {
    const [a, b] = [change.before, change.after];
    return a?.standing !== b?.standing || a?.lateness !== b?.lateness;
  }
  return change.kind === 'override' || change.kind === 'attempt';
}

/** True where a change alters who is in which class: everyone who shows classes is told, whatever it was a step of. */
const movesClasses = ({ kind }: RecordChange): boolean =>
  kind === 'student' || kind === 'member' || kind === 'class';

/**
 * Writes the records of one kind together: those that end, then those that stand. Of two changes to one record the
 * later one holds. Nothing is waited for where there is nothing to write: a transaction ends by itself once too
 * many waits in a row touch no table.
 */
async function writeTogether<Value, Key, Change extends { after: unknown }>(
  table: Table<Value, Key>,
  changes: readonly Change[],
  keyOf: (change: Change) => Key,
  valueOf: (change: Change) => Value | null,
): Promise<void> {
  if (changes.length === 0) return;
  const last = new Map(changes.map((change) => [JSON.stringify(keyOf(change)), change]));
  const ends = [...last.values()].filter((change) => valueOf(change) === null).map(keyOf);
  const stands = [...last.values()].flatMap((change) => valueOf(change) ?? []) as Value[];
  if (ends.length > 0) await table.bulkDelete(ends);
  if (stands.length > 0) await table.bulkPut(stands);
}

/** Attempts of one step are written together, each with a number of its own. */
async function writeAttempts(quizId: string, changes: readonly Of<'attempt'>[]): Promise<void> {
  if (changes.length === 0) return;
  const first = await nextSeqs(quizId, changes.length);
  const numbered = changes.map((change, index) => ({
    ...change,
    after: change.after && { ...change.after, seq: first + index },
  }));
  await writeTogether(
    db.attempts,
    numbered,
    ({ id }) => id,
    ({ after }) => after,
  );
}

/** Everyone on the class list has a ticket; who is taken off by an undo keeps it for the redo. */
async function writeStudents(changes: readonly Of<'student'>[]): Promise<void> {
  await writeTogether(
    db.students,
    changes,
    ({ id }) => id,
    ({ after }) => after,
  );
  if (changes.length > 0) await giveTickets(changes.map(({ id }) => id));
}

/** Classes, and who is in which. */
async function writeClasses(changes: readonly RecordChange[]): Promise<void> {
  await writeTogether(
    db.classes,
    only(changes, 'class'),
    ({ id }) => id,
    ({ after }) => after,
  );
  await writeTogether(
    db.members,
    only(changes, 'member'),
    ({ classId, studentId }): [string, string] => [classId, studentId],
    ({ after }) => after,
  );
}

async function writePlaces(changes: readonly Of<'shelf'>[]): Promise<void> {
  if (changes.length === 0) return;
  await db.quizzes.bulkUpdate(changes.map(({ id, after }) => ({ key: id, changes: after })));
}

function changedHead(quiz: QuizRecord, changes: readonly RecordChange[]): QuizRecord {
  let head = { ...quiz, changeSeq: quiz.changeSeq + 1, changedAt: now() };
  for (const change of changes) {
    if (change.kind === 'content') head = { ...head, content: change.after };
    if (change.kind === 'standing') head = { ...head, standing: { ...head.standing, ...change.after } };
    if (change.kind === 'live') head = { ...head, standing: { ...head.standing, live: change.after } };
  }
  return head;
}

/** Writes changes to the scope's records. To be called inside a transaction. Gives the number of the change. */
export async function writeChanges(scope: string, changes: readonly RecordChange[]): Promise<number> {
  const quiz = await db.quizzes.get(scope);
  const head = quiz ? changedHead(quiz, changes) : null;
  const rev = head ? head.changeSeq : await nextSeq(scope);
  if (head) await db.quizzes.put(head);
  const places = only(changes, 'shelf');
  if (places.length > 0) await writePlaces(places);
  await writeAttempts(scope, only(changes, 'attempt'));
  await writeTogether(
    db.questions,
    only(changes, 'question'),
    ({ id }): [string, string] => [scope, id],
    ({ id, after }) => after && { quizId: scope, id, rev, ...after },
  );
  await writeTogether(
    db.overrides,
    only(changes, 'override'),
    ({ attemptId, questionId }): [string, string, string] => [scope, attemptId, questionId],
    ({ after }) => after,
  );
  await writeTogether(
    db.rulings,
    only(changes, 'ruling'),
    ({ attemptId }): [string, string] => [scope, attemptId],
    ({ after }) => after,
  );
  await writeTogether(
    db.comments,
    only(changes, 'comment'),
    ({ attemptId, questionId }): [string, string, string] => [scope, attemptId, questionId],
    ({ after }) => after,
  );
  await writeStudents(only(changes, 'student'));
  await writeClasses(changes);
  if (head && changes.some(movesScores)) await nextSeq(scope);
  if (scope !== CLASS_LIST && changes.some(movesClasses)) await nextSeq(CLASS_LIST);
  return rev;
}
