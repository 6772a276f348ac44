import { now } from './clock';
import { db, type HistoryRecord, type QuizRecord, type RecordChange } from './db';
import { TAB } from './ids';
import { nextSeq, nextSeqs } from './seq';

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

/** Tables that an edit and its undo touch. */
export const EDIT_TABLES = [
  db.quizzes, db.questions, db.overrides, db.rulings, db.comments, db.attempts, db.students, db.history, db.meta,
]; // prettier-ignore

type Of<Kind extends RecordChange['kind']> = Extract<RecordChange, { kind: Kind }>;

async function putOrDelete<Value, Key>(
  table: { put(value: Value): PromiseLike<unknown>; delete(key: Key): PromiseLike<void> },
  key: Key,
  value: Value | null,
): Promise<void> {
  if (value === null) await table.delete(key);
  else await table.put(value);
}

/** True where a change alters what the class's scores are made of: everyone who shows them is told. */
function movesScores(change: RecordChange): boolean {
  if (change.kind === 'ruling') {
    const [a, b] = [change.before, change.after];
    return a?.standing !== b?.standing || a?.lateness !== b?.lateness;
  }
  return change.kind === 'override' || change.kind === 'attempt';
}

async function writeRecord(quizId: string, change: RecordChange, rev: number): Promise<void> {
  switch (change.kind) {
    case 'question': {
      const record = change.after && { quizId, id: change.id, rev, question: change.after };
      return putOrDelete(db.questions, [quizId, change.id] as [string, string], record);
    }
    case 'override':
      return putOrDelete(db.overrides, [quizId, change.attemptId, change.questionId], change.after);
    case 'ruling':
      return putOrDelete(db.rulings, [quizId, change.attemptId], change.after);
    case 'comment':
      return putOrDelete(db.comments, [quizId, change.attemptId, change.questionId], change.after);
    case 'student':
      return putOrDelete(db.students, change.id, change.after);
    case 'shelf':
      await db.quizzes.update(change.id, change.after);
      return;
    default:
  }
}

/** Attempts of one step are written together, each with a number of its own. */
async function writeAttempts(quizId: string, changes: readonly Of<'attempt'>[]): Promise<void> {
  if (changes.length === 0) return;
  await db.attempts.bulkDelete(changes.filter(({ after }) => after === null).map(({ id }) => id));
  const written = changes.flatMap(({ after }) => after ?? []);
  const first = await nextSeqs(quizId, written.length);
  await db.attempts.bulkPut(written.map((attempt, index) => ({ ...attempt, seq: first + index })));
}

function changedHead(quiz: QuizRecord, changes: readonly RecordChange[]): QuizRecord {
  let head = { ...quiz, changeSeq: quiz.changeSeq + 1, changedAt: now() };
  for (const change of changes) {
    if (change.kind === 'content') head = { ...head, content: change.after };
    if (change.kind === 'standing') head = { ...head, standing: { ...head.standing, ...change.after } };
  }
  return head;
}

/** Writes changes to the scope's records. To be called inside a transaction. Gives the number of the change. */
async function writeAll(scope: string, changes: readonly RecordChange[]): Promise<number> {
  const quiz = await db.quizzes.get(scope);
  const head = quiz ? changedHead(quiz, changes) : null;
  const rev = head ? head.changeSeq : await nextSeq(scope);
  if (head) await db.quizzes.put(head);
  await writeAttempts(scope, changes.filter((change) => change.kind === 'attempt')); // prettier-ignore
  for (const change of changes) await writeRecord(scope, change, rev);
  if (head && changes.some(movesScores)) await nextSeq(scope);
  return rev;
}

const stepsOf = (scope: string) =>
  db.history.where('[quizId+seq]').between([scope, -Infinity], [scope, Infinity]);

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
 * Gives the number of the change: a quiz's new `changeSeq`.
 */
export async function record(scope: string, changes: RecordChange[], label: EditLabel): Promise<number> {
  const seq = await writeAll(scope, changes);
  const steps = await stepsOf(scope).sortBy('seq');
  await db.history.bulkDelete(steps.filter((step) => step.undone === 1).map((step) => step.id as number));
  const done = steps.filter((step) => step.undone === 0);
  const last = done.at(-1);
  if (last && joined(last, label, changes)) {
    const before = (last.changes[0] as RecordChange).before;
    const merged = { ...(changes[0] as RecordChange), before } as RecordChange;
    await db.history.put({ ...last, at: now(), seq, changes: [merged] });
    return seq;
  }
  await db.history.add({ quizId: scope, seq, at: now(), tab: TAB, undone: 0, changes, ...label });
  const surplus = done.slice(0, Math.max(0, done.length + 1 - KEPT_STEPS));
  await db.history.bulkDelete(surplus.map((step) => step.id as number));
  return seq;
}

/** One transaction over everything that an edit touches. */
export const editing = <T>(work: () => Promise<T>): Promise<T> => db.transaction('rw', EDIT_TABLES, work);

function inverse(change: RecordChange): RecordChange {
  return { ...change, before: change.after, after: change.before } as RecordChange;
}

async function step(scope: string, direction: 'undo' | 'redo'): Promise<string | null> {
  return editing(async () => {
    const steps = await stepsOf(scope).sortBy('seq');
    const entry =
      direction === 'undo' ? steps.filter((s) => s.undone === 0).at(-1) : steps.find((s) => s.undone === 1);
    if (!entry) return null;
    await writeAll(scope, direction === 'undo' ? [...entry.changes].reverse().map(inverse) : entry.changes);
    await db.history.put({ ...entry, undone: direction === 'undo' ? 1 : 0 });
    return entry.label;
  });
}

/** Takes back the last step of a quiz, the class list or the Shelf, whichever tab made it. Gives its label, null where there is none. */
export const undo = (scope: string): Promise<string | null> => step(scope, 'undo');

/** Does again what was undone last. */
export const redo = (scope: string): Promise<string | null> => step(scope, 'redo');

/** What the next undo and redo are called, for buttons and menus. */
export async function nextSteps(scope: string): Promise<{ undo: string | null; redo: string | null }> {
  const steps = await stepsOf(scope).sortBy('seq');
  return {
    undo: steps.filter((s) => s.undone === 0).at(-1)?.label ?? null,
    redo: steps.find((s) => s.undone === 1)?.label ?? null,
  };
}
