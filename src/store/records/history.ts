import type { Table } from 'dexie';
import type { Answer } from '@/core/kinds';
import type { GivenPart } from '@/core/kinds/givenPart';
import { canonical } from '@/core/figures/deepEqual';
import { merge } from '@/core/quiz/merge';
import { now } from './clock';
import { db, type HistoryRecord, type QuizRecord, type RecordChange } from './db';
import { TAB } from './ids';
import { nextSeq, nextSeqs } from './sequence';
import { giveTickets } from './tickets';
import { undoneAlone } from './undoAlone';

/** Edits of one field in one tab that follow each other within this time are undone together, in ms. */
const JOIN_WITHIN = 2000;
const KEPT_STEPS = 500;

/** What has a history of its own: a quiz by its id, the class list, the Shelf. */
export const CLASS_LIST = '#class-list';
export const SHELF = '#shelf';

/** What an edit is called in the history, and the field whose quick successive edits belong together. */
export interface EditLabel {
  readonly label: string;
  readonly field: string;
}

/** The field of the steps that key one answer of the class, or a part of one: by it the step is found again, to be dropped. */
export const keyField = (questionId: string, given: Answer | GivenPart): string =>
  `${KEYED}${questionId}:${canonical(given)}`.slice(0, LONGEST_FIELD);
const KEYED = 'key:';
/** The field of a step that takes another one back alone, with the number of that one. */
const TOOK_BACK = 'took back:';
const LONGEST_FIELD = 300;

/** Tables that an edit and its undo touch. */
export const EDIT_TABLES = [
  db.quizzes, db.questions, db.overrides, db.rulings, db.comments, db.attempts, db.students, db.classes, db.members, db.tickets, db.history, db.meta,
]; // prettier-ignore

type Kind = RecordChange['kind'];
type Of<K extends Kind> = Extract<RecordChange, { kind: K }>;
const only = <K extends Kind>(changes: readonly RecordChange[], kind: K): Of<K>[] =>
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

/**
 * Changes of attempts made in what their students have written since: that is no part of any step. Of an attempt that was
 * handed in since, or changed in the same place, nothing is written.
 */
async function withStudentsWork(changes: readonly Of<'attempt'>[]): Promise<readonly Of<'attempt'>[]> {
  const between = changes.filter(({ before, after }) => before !== null && after !== null);
  if (between.length === 0) return changes;
  const stored = await db.attempts.bulkGet(between.map(({ id }) => id));
  const now = new Map(stored.flatMap((one) => (one ? [[one.id, one] as const] : [])));
  return changes.flatMap((change) => {
    const current = now.get(change.id);
    const { before, after } = change;
    if (!current || !before || !after) return [change];
    const made = merge({ ...before, seq: current.seq }, { ...after, seq: current.seq }, current);
    return made.ok ? [{ ...change, after: made.value }] : [];
  });
}

/** Attempts of one step are written together, each with a number of its own. */
async function writeAttempts(quizId: string, asked: readonly Of<'attempt'>[]): Promise<void> {
  const changes = await withStudentsWork(asked);
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
async function writeAll(scope: string, changes: readonly RecordChange[]): Promise<number> {
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

/** Steps in the order of their numbers, read by the index: an edit costs the same however many came before it. */
const steps = (scope: string, undone: 0 | 1) =>
  db.history.where('[quizId+undone+seq]').between([scope, undone, -Infinity], [scope, undone, Infinity]);
const stepsThatStand = (scope: string) => steps(scope, 0);
const stepsUndone = (scope: string) => steps(scope, 1);
const standingStep = (scope: string, seq: number) =>
  db.history.where('[quizId+undone+seq]').equals([scope, 0, seq]).first();

function joined(
  last: HistoryRecord | undefined,
  label: EditLabel,
  changes: readonly RecordChange[],
): boolean {
  return (
    last !== undefined &&
    last.undone === 0 &&
    last.tab === TAB &&
    last.field === label.field &&
    label.field !== '' &&
    now() - last.at < JOIN_WITHIN &&
    last.changes.length === 1 &&
    changes.length === 1 &&
    last.changes[0]?.kind === changes[0]?.kind
  );
}

/**
 * Writes changes and the step that undoes them. To be called inside a transaction over {@link EDIT_TABLES}.
 * Gives the number of the change: a quiz's new `changeSeq`, by which the step can be undone.
 */
export async function record(
  scope: string,
  changes: readonly RecordChange[],
  label: EditLabel,
): Promise<number> {
  const seq = await writeAll(scope, changes);
  await stepsUndone(scope).delete();
  const last = await stepsThatStand(scope).last();
  if (last && joined(last, label, changes)) {
    const before = (last.changes[0] as RecordChange).before;
    const merged = { ...(changes[0] as RecordChange), before } as RecordChange;
    await db.history.put({ ...last, at: now(), seq, changes: [merged] });
    return seq;
  }
  await db.history.add({
    quizId: scope,
    seq,
    at: now(),
    tab: TAB,
    undone: 0,
    changes: [...changes],
    ...label,
  });
  const surplus = (await stepsThatStand(scope).count()) - KEPT_STEPS;
  if (surplus > 0) await db.history.bulkDelete(await stepsThatStand(scope).limit(surplus).primaryKeys());
  return seq;
}

/** One transaction over everything that an edit touches. */
export const editing = <T>(work: () => Promise<T>): Promise<T> => db.transaction('rw', EDIT_TABLES, work);

function inverse(change: RecordChange): RecordChange {
  return { ...change, before: change.after, after: change.before } as RecordChange;
}

const inverted = (step: HistoryRecord): RecordChange[] => [...step.changes].reverse().map(inverse);

async function step(scope: string, direction: 'undo' | 'redo'): Promise<string | null> {
  return editing(async () => {
    const entry = await (direction === 'undo' ? stepsThatStand(scope).last() : stepsUndone(scope).first());
    if (!entry) return null;
    await writeAll(scope, direction === 'undo' ? inverted(entry) : entry.changes);
    await db.history.put({ ...entry, undone: direction === 'undo' ? 1 : 0 });
    return entry.label;
  });
}

/** Takes back the last step of a quiz, the class list or the Shelf, whichever tab made it. Gives its label, null where there is none. */
export const undo = (scope: string): Promise<string | null> => step(scope, 'undo');

/**
 * Undoes the last step where all its changes are as asked for; true where it was. To be called inside a transaction
 * over {@link EDIT_TABLES}.
 */
export async function undoLastIf(scope: string, is: (change: RecordChange) => boolean): Promise<boolean> {
  const last = await stepsThatStand(scope).last();
  if (!last || !last.changes.every(is)) return false;
  await writeAll(scope, inverted(last));
  await db.history.put({ ...last, undone: 1 });
  return true;
}

/** Does again what was undone last. */
export const redo = (scope: string): Promise<string | null> => step(scope, 'redo');

/** What taking back one step did. `changedSince`: what it wrote has been changed again, so that nothing was taken back. */
export type UndoneStep = 'undone' | 'changedSince' | 'gone';

/**
 * Takes back the one step that was recorded under a number, whatever has been done since. Where it is the last one
 * this is {@link undo}; else it becomes a step of its own.
 */
export const undoStep = (scope: string, seq: number): Promise<UndoneStep> =>
  editing(async () => {
    const entry = await standingStep(scope, seq);
    if (!entry) return 'gone';
    if (entry.id === (await stepsThatStand(scope).last())?.id) {
      await writeAll(scope, inverted(entry));
      await db.history.put({ ...entry, undone: 1 });
      return 'undone';
    }
    const changes = await undoneAlone(scope, inverted(entry));
    if (!changes) return 'changedSince';
    const label = `Undo: ${entry.label.slice(0, 1).toLowerCase()}${entry.label.slice(1)}`;
    await record(scope, changes, { label, field: `${TOOK_BACK}${seq}` });
    return 'undone';
  });

/** The steps that stand, without those that were taken back alone since. */
async function notTakenBack(
  scope: string,
  wanted: (step: HistoryRecord) => boolean,
): Promise<readonly HistoryRecord[]> {
  const found = await stepsThatStand(scope)
    .filter((one) => one.field.startsWith(TOOK_BACK) || wanted(one))
    .toArray();
  const takenBack = new Set(found.map(({ field }) => field));
  return found.filter((one) => wanted(one) && !takenBack.has(`${TOOK_BACK}${one.seq}`));
}

/** The number of the last step of a field that stands; null where none does. */
export async function stepOf(scope: string, field: string): Promise<number | null> {
  const found = await notTakenBack(scope, (one) => one.field === field);
  return found.at(-1)?.seq ?? null;
}

/** An answer, or a part of one, that was keyed for everyone. */
export interface KeyedStep {
  readonly questionId: string;
  /** By which it is taken back. */
  readonly step: number;
  /** What was done, as the history calls it. */
  readonly label: string;
}

/** What was keyed from one instant until before another, each answer once, in the order in which it was; what was taken back is not there. */
export async function keyedBetween(
  scope: string,
  from: number,
  until: number,
): Promise<readonly KeyedStep[]> {
  const keying = await notTakenBack(
    scope,
    (one) => one.at >= from && one.at < until && one.field.startsWith(KEYED),
  );
  const last = new Map(keying.map((one) => [one.field, one]));
  return [...last].map(([field, { seq, label }]) => ({
    questionId: field.slice(KEYED.length).split(':', 1)[0] ?? '',
    step: seq,
    label,
  }));
}

/** What has been keyed since an instant. */
export const keyedSince = (scope: string, at: number): Promise<readonly KeyedStep[]> =>
  keyedBetween(scope, at, Infinity);

/** What the next undo and redo are called, for buttons and menus. */
export async function nextSteps(scope: string): Promise<{ undo: string | null; redo: string | null }> {
  const [undone, redone] = await Promise.all([stepsThatStand(scope).last(), stepsUndone(scope).first()]);
  return { undo: undone?.label ?? null, redo: redone?.label ?? null };
}
