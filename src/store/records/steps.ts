import type { Answer } from '@/core/kinds';
import type { GivenPart } from '@/core/kinds/givenPart';
import { canonical } from '@/core/figures/deepEqual';
import { now } from '@/device/clock';
import { db, type HistoryRecord, type RecordChange } from './db';
import { TAB } from '@/device/ids';
import { writeChanges } from './write';

/** Edits of one field in one tab that follow each other within this time are undone together, in ms. */
const JOIN_WITHIN = 2000;
/** A step ends after so long, however fast somebody goes on: nobody loses a page of text by one undo. In ms. */
const LONGEST_STEP = 10_000;
const KEPT_STEPS = 500;

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
export const TOOK_BACK = 'took back:';
const LONGEST_FIELD = 300;

/** Tables that an edit and its undo touch. */
export const EDIT_TABLES = [
  db.quizzes, db.questions, db.overrides, db.rulings, db.comments, db.attempts, db.students, db.classes, db.members, db.tickets, db.history, db.meta,
]; // prettier-ignore

/** Steps in the order of their numbers, read by the index: an edit costs the same however many came before it. */
const steps = (scope: string, undone: 0 | 1) =>
  db.history.where('[quizId+undone+seq]').between([scope, undone, -Infinity], [scope, undone, Infinity]);
export const stepsThatStand = (scope: string) => steps(scope, 0);
export const stepsUndone = (scope: string) => steps(scope, 1);
export const standingStep = (scope: string, seq: number) =>
  db.history.where('[quizId+undone+seq]').equals([scope, 0, seq]).first();

/** Whether a moment was less than so long ago; not where the clock has gone back behind it. */
function isWithin(at: number, longest: number): boolean {
  const since = now() - at;
  return since >= 0 && since < longest;
}

/** The last edit of this tab, and the step that it is part of. A step's own time is when it began. */
let lastEdit: { readonly step: number; readonly at: number } | null = null;

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
    last.id !== undefined &&
    lastEdit?.step === last.id &&
    isWithin(lastEdit.at, JOIN_WITHIN) &&
    isWithin(last.at, LONGEST_STEP) &&
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
  const seq = await writeChanges(scope, changes);
  await stepsUndone(scope).delete();
  const last = await stepsThatStand(scope).last();
  if (last && joined(last, label, changes)) {
    const before = (last.changes[0] as RecordChange).before;
    const merged = { ...(changes[0] as RecordChange), before } as RecordChange;
    await db.history.put({ ...last, seq, changes: [merged] });
    lastEdit = { step: last.id as number, at: now() };
    return seq;
  }
  const step = await db.history.add({
    quizId: scope,
    seq,
    at: now(),
    tab: TAB,
    undone: 0,
    changes: [...changes],
    ...label,
  });
  lastEdit = { step: step as number, at: now() };
  const surplus = (await stepsThatStand(scope).count()) - KEPT_STEPS;
  if (surplus > 0) await db.history.bulkDelete(await stepsThatStand(scope).limit(surplus).primaryKeys());
  return seq;
}

/** One transaction over everything that an edit touches. */
export const editing = <T>(work: () => Promise<T>): Promise<T> => db.transaction('rw', EDIT_TABLES, work);

/** A change that takes another one back. */
function inverse(change: RecordChange): RecordChange {
  return { ...change, before: change.after, after: change.before } as RecordChange;
}

/** The changes that take a step back, the last one first. */
export const inverted = (step: HistoryRecord): RecordChange[] => [...step.changes].reverse().map(inverse);

/**
 * Undoes the last step where all its changes are as asked for; true where it was. To be called inside a transaction
 * over {@link EDIT_TABLES}.
 */
export async function undoLastIf(scope: string, is: (change: RecordChange) => boolean): Promise<boolean> {
  const last = await stepsThatStand(scope).last();
  if (!last || !last.changes.every(is)) return false;
  await writeChanges(scope, inverted(last));
  await db.history.put({ ...last, undone: 1 });
  return true;
}

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
