import { now } from './clock';
import { db, type QuizRecord } from './db';
import { createQuiz, draftPaper, head } from './quizzes';
import { listStudents } from './roster';

const DAY = 86_400_000;
const KEPT_DELETED = 30 * DAY;

/** All quizzes, deleted ones too, in the Shelf's own order. */
export const listQuizzes = async (): Promise<QuizRecord[]> =>
  (await db.quizzes.toArray()).sort((a, b) => a.position - b.position);

/** How many students are on the class list. */
export const countStudents = async (): Promise<number> => (await listStudents()).length;

/** A new quiz with the same questions, plan and rules: closed, without anybody's work. Gives its id. */
export async function duplicateQuiz(quizId: string): Promise<string> {
  const { content, questions } = await draftPaper(quizId);
  return createQuiz({ ...content, title: `${content.title} (copy)` }, questions);
}

/** Puts a quiz away, or back among the others. */
export const setArchived = (quizId: string, archived: 'away' | 'back'): Promise<number> =>
  db.quizzes.update(quizId, { archivedAt: archived === 'away' ? now() : null });

/** Deletes a quiz so that it can be brought back for 30 days, or brings it back. */
export const setDeleted = (quizId: string, deleted: 'deleted' | 'back'): Promise<number> =>
  db.quizzes.update(quizId, { deletedAt: deleted === 'deleted' ? now() : null });

/** Puts a quiz to another place among those shown; `order` are their ids from the top. */
export const arrange = (order: readonly string[]): Promise<void> =>
  db.transaction('rw', db.quizzes, async () => {
    const places = (await Promise.all(order.map(head))).map((quiz) => quiz.position).sort((a, b) => a - b);
    for (const [index, id] of order.entries()) {
      // Two quizzes of the same moment must not share a place.
      await db.quizzes.update(id, { position: (places[index] as number) + index / 1e6 });
    }
  });

const ofQuiz = (quizId: string) =>
  [
    db.questions.where('quizId').equals(quizId),
    db.questionRevs.where('[quizId+questionId+rev]').between([quizId, '', 0], [quizId, '\uffff', Infinity]),
    db.quizRevs.where('[quizId+rev]').between([quizId, 0], [quizId, Infinity]),
    db.attempts.where('[quizId+seq]').between([quizId, 0], [quizId, Infinity]),
    db.markColumns.where('[quizId+questionId+rev]').between([quizId, '', 0], [quizId, '\uffff', Infinity]),
    db.overrides
      .where('[quizId+attemptId+questionId]')
      .between([quizId, '', ''], [quizId, '\uffff', '\uffff']),
    db.history.where('[quizId+seq]').between([quizId, -Infinity], [quizId, Infinity]),
  ] as const;

/** Removes a quiz and everything that belongs to it, for good. */
export const removeForGood = (quizId: string): Promise<void> =>
  db.transaction('rw', db.tables, async () => {
    for (const collection of ofQuiz(quizId)) await collection.delete();
    await db.meta.delete(`seq:${quizId}`);
    await db.quizzes.delete(quizId);
  });

/** Removes what was deleted more than 30 days ago. */
export async function sweep(): Promise<void> {
  const limit = now() - KEPT_DELETED;
  const old = (await db.quizzes.toArray()).filter(
    (quiz) => quiz.deletedAt !== null && quiz.deletedAt < limit,
  );
  for (const quiz of old) await removeForGood(quiz.id);
}

/** Takes the made-up school away: its quiz with all work, and its students but those with work in other quizzes. */
export async function removeDemo(): Promise<void> {
  const { DEMO_QUIZ } = await import('./demoSchool');
  await removeForGood(DEMO_QUIZ);
  const writing = new Set((await db.attempts.toArray()).map((attempt) => attempt.studentId));
  await db.students
    .where('id')
    .startsWith('demo-')
    .filter((student) => !writing.has(student.id))
    .delete();
}

/** Puts the made-up school back as it was on the first visit. */
export async function resetDemo(): Promise<void> {
  await removeDemo();
  const { writeDemo } = await import('./demoSchool');
  await db.meta.delete('started');
  await writeDemo();
}
