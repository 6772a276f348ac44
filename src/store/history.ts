import { now } from './clock';
import { db, type HistoryRecord, type QuizRecord, type RecordChange } from './db';
import { TAB } from './ids';
import { nextSeq } from './seq';

/** Edits of one field in one tab that follow each other within this time are undone together, in ms. */
const JOIN_WITHIN = 2000;
const KEPT_STEPS = 500;

/** What an edit is called in the history, and the field whose quick successive edits belong together. */
export interface EditLabel {
  readonly label: string;
  readonly field: string;
}

/** Tables that an edit and its undo touch. */
export const EDIT_TABLES = [db.quizzes, db.questions, db.overrides, db.history, db.meta];

async function write(quiz: QuizRecord, change: RecordChange): Promise<QuizRecord> {
  if (change.kind === 'content') return { ...quiz, content: change.after };
  if (change.kind === 'override') {
    if (change.after === null) await db.overrides.delete([quiz.id, change.attemptId, change.questionId]);
    else await db.overrides.put(change.after);
    await nextSeq(quiz.id);
    return quiz;
  }
  if (change.after === null) await db.questions.delete([quiz.id, change.id]);
  else
    await db.questions.put({ quizId: quiz.id, id: change.id, rev: quiz.changeSeq, question: change.after });
  return quiz;
}

/** Writes changes to the draft with a new `changeSeq`. To be called inside a transaction. */
async function writeAll(quiz: QuizRecord, changes: readonly RecordChange[]): Promise<QuizRecord> {
  let head = { ...quiz, changeSeq: quiz.changeSeq + 1, changedAt: now() };
  for (const change of changes) head = await write(head, change);
  await db.quizzes.put(head);
  return head;
}

const stepsOf = (quizId: string) =>
  db.history.where('[quizId+seq]').between([quizId, -Infinity], [quizId, Infinity]);

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

/** Writes changes and the step that undoes them. To be called inside a transaction over {@link EDIT_TABLES}. */
export async function record(
  quiz: QuizRecord,
  changes: RecordChange[],
  label: EditLabel,
): Promise<QuizRecord> {
  const head = await writeAll(quiz, changes);
  const steps = await stepsOf(quiz.id).sortBy('seq');
  await db.history.bulkDelete(steps.filter((step) => step.undone === 1).map((step) => step.id as number));
  const done = steps.filter((step) => step.undone === 0);
  const last = done.at(-1);
  if (last && joined(last, label, changes)) {
    const before = (last.changes[0] as RecordChange).before;
    const merged = { ...(changes[0] as RecordChange), before } as RecordChange;
    await db.history.put({ ...last, at: now(), seq: head.changeSeq, changes: [merged] });
    return head;
  }
  await db.history.add({
    quizId: quiz.id, seq: head.changeSeq, at: now(), tab: TAB, undone: 0, changes, ...label,
  }); // prettier-ignore
  const surplus = done.slice(0, Math.max(0, done.length + 1 - KEPT_STEPS));
  await db.history.bulkDelete(surplus.map((step) => step.id as number));
  return head;
}

function inverse(change: RecordChange): RecordChange {
  return { ...change, before: change.after, after: change.before } as RecordChange;
}

async function step(quizId: string, direction: 'undo' | 'redo'): Promise<string | null> {
  return db.transaction('rw', EDIT_TABLES, async () => {
    const quiz = await db.quizzes.get(quizId);
    const steps = await stepsOf(quizId).sortBy('seq');
    const entry =
      direction === 'undo' ? steps.filter((s) => s.undone === 0).at(-1) : steps.find((s) => s.undone === 1);
    if (!quiz || !entry) return null;
    await writeAll(quiz, direction === 'undo' ? [...entry.changes].reverse().map(inverse) : entry.changes);
    await db.history.put({ ...entry, undone: direction === 'undo' ? 1 : 0 });
    return entry.label;
  });
}

/** Takes back the last step of the quiz, whichever tab made it. Gives its label, null where there is none. */
export const undo = (quizId: string): Promise<string | null> => step(quizId, 'undo');

/** Does again what was undone last. */
export const redo = (quizId: string): Promise<string | null> => step(quizId, 'redo');

/** What the next undo and redo are called, for buttons and menus. */
export async function nextSteps(quizId: string): Promise<{ undo: string | null; redo: string | null }> {
  const steps = await stepsOf(quizId).sortBy('seq');
  return {
    undo: steps.filter((s) => s.undone === 0).at(-1)?.label ?? null,
    redo: steps.find((s) => s.undone === 1)?.label ?? null,
  };
}
