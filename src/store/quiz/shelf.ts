import { now } from '@/device/clock';
import { db, type QuizRecord, type RecordChange, type ShelfPlace } from '../records/db';
import { CLASS_LIST, SHELF } from '../records/scopes';
import { editing, record } from '../records/steps';
import { isDemo } from '../class/classes';
import { createQuiz, draftPaper, head } from './quizzes';
import { ofQuiz } from '../records/ofQuiz';
import { attemptsSeq } from '../records/sequence';

const DAY = 86_400_000;
const KEPT_DELETED = 30 * DAY;

/** All quizzes, deleted ones too, in the Shelf's own order. */
export const listQuizzes = async (): Promise<QuizRecord[]> =>
  (await db.quizzes.toArray()).sort((a, b) => a.position - b.position);

/** A text that changes with everything that is known of students and classes. */
export const schoolState = async (): Promise<string> =>
  [await attemptsSeq(CLASS_LIST), await db.members.count(), await db.students.count()].join('/');

const placeOf = ({ position, archivedAt, deletedAt }: QuizRecord): ShelfPlace => ({
  position,
  archivedAt,
  deletedAt,
});

const changePlace = (quizId: string, patch: Partial<ShelfPlace>, label: string): Promise<number> =>
  editing(async () => {
    const before = placeOf(await head(quizId));
    const change = { kind: 'shelf', id: quizId, before, after: { ...before, ...patch } } as const;
    return record(SHELF, [change], { label, field: '' });
  });

/**
 * A new quiz with the same questions, plan and rules: closed, without anybody's work. Undone on the Shelf, it lies among
 * the deleted ones. Gives its id and the step.
 */
export const duplicateQuiz = (quizId: string): Promise<{ id: string; step: number }> =>
  editing(async () => {
    const { content, questions, placements } = await draftPaper(quizId);
    const { setTo } = (await head(quizId)).standing;
    const id = await createQuiz(
      { ...content, title: `${content.title} (copy)`.slice(0, 300) },
      questions,
      placements,
      setTo,
    );
    const after = placeOf(await head(id));
    const change = { kind: 'shelf', id, before: { ...after, deletedAt: now() }, after } as const;
    return { id, step: await record(SHELF, [change], { label: 'Duplicate a quiz', field: '' }) };
  });

/** Puts a quiz away, or back among the others. */
export const setArchived = (quizId: string, archived: 'away' | 'back'): Promise<number> =>
  changePlace(
    quizId,
    { archivedAt: archived === 'away' ? now() : null },
    archived === 'away' ? 'Archive a quiz' : 'Restore a quiz',
  );

/** Deletes a quiz so that it can be brought back for 30 days, or brings it back. */
export const setDeleted = (quizId: string, deleted: 'deleted' | 'back'): Promise<number> =>
  changePlace(
    quizId,
    { deletedAt: deleted === 'deleted' ? now() : null },
    deleted === 'deleted' ? 'Delete a quiz' : 'Restore a deleted quiz',
  );

/** Puts a quiz to another place among those shown; `order` are their ids from the top. */
export const arrange = (order: readonly string[]): Promise<number> =>
  editing(async () => {
    const heads = await Promise.all(order.map(head));
    const places = heads.map((quiz) => quiz.position).sort((a, b) => a - b);
    let last = -Infinity;
    const changes = heads.map((quiz, index): RecordChange => {
      const before = placeOf(quiz);
      // Quizzes of the same moment must not share a place; places are times in ms, so 1 is the next one that differs.
      last = Math.max(places[index] as number, last + 1);
      return { kind: 'shelf', id: quiz.id, before, after: { ...before, position: last } };
    });
    return record(SHELF, changes, { label: 'Move a quiz', field: '' });
  });

/** Takes a quiz out of the Shelf's own undo steps. */
async function forgetSteps(quizId: string): Promise<void> {
  const steps = await ofQuiz.history(SHELF).toArray();
  for (const step of steps) {
    const changes = step.changes.filter((change) => change.kind !== 'shelf' || change.id !== quizId);
    if (changes.length === 0) await db.history.delete(step.id as number);
    else if (changes.length < step.changes.length) await db.history.put({ ...step, changes });
  }
}

/** Removes a quiz and everything that belongs to it, for good. */
export const removeForGood = (quizId: string): Promise<void> =>
  db.transaction('rw', db.tables, async () => {
    for (const all of Object.values(ofQuiz)) await all(quizId).delete();
    await forgetSteps(quizId);
    await db.meta.delete(`seq:${quizId}`);
    await db.mappings.delete(quizId);
    await db.meta.delete(`scoreColumns:${quizId}`);
    await db.quizzes.delete(quizId);
  });

/** Removes what was deleted more than 30 days ago; a quiz whose door is open stays, as nobody could close that any more. */
export async function sweep(): Promise<void> {
  const limit = now() - KEPT_DELETED;
  const old = (await db.quizzes.toArray()).filter(
    (quiz) => quiz.deletedAt !== null && quiz.deletedAt < limit,
  );
  const doors = new Set(await db.doors.toCollection().primaryKeys());
  for (const quiz of old) if (!doors.has(quiz.id)) await removeForGood(quiz.id);
}

/** Takes the made-up school away: its quizzes with all work, and its students but those with work in other quizzes. */
export async function removeDemo(): Promise<void> {
  const { DEMO_QUIZZES } = await import('../demo/demoSchool');
  await db.transaction('rw', db.tables, () => withoutDemo(DEMO_QUIZZES));
}

async function withoutDemo(quizIds: readonly string[]): Promise<void> {
  for (const id of quizIds) await removeForGood(id);
  const writing = new Set((await db.attempts.toArray()).map((attempt) => attempt.studentId));
  const ids = await db.students
    .where('id')
    .startsWith('demo-')
    .filter((student) => !writing.has(student.id))
    .primaryKeys();
  await db.students.bulkDelete(ids);
  await db.tickets.bulkDelete(ids);
  const gone = new Set(ids);
  await db.members.filter(({ studentId }) => gone.has(studentId)).delete();
  const kept = new Set((await db.members.toArray()).map(({ classId }) => classId));
  await db.classes.filter((one) => isDemo(one) && !kept.has(one.id)).delete();
  const classes = new Set(await db.classes.toCollection().primaryKeys());
  await db.quizzes.toCollection().modify((quiz) => {
    quiz.standing.setTo = quiz.standing.setTo.filter(({ classId }) => classes.has(classId));
  });
}

/** Puts the made-up school back as it was on the first visit: all of it or, where that fails, nothing. */
export async function resetDemo(): Promise<void> {
  const { DEMO_QUIZZES, writeDemo } = await import('../demo/demoSchool');
  await db.transaction('rw', db.tables, async () => {
    await withoutDemo(DEMO_QUIZZES);
    await db.meta.delete('started');
    await writeDemo();
  });
}
