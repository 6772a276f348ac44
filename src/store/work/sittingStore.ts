import type { Table } from 'dexie';
import { overridesByAttempt } from '@/core/checking/classWork';
import { studentsSet } from '@/core/quiz/school';
import type { PaperAddress } from '@/core/sitting/port';
import type { SittingStore } from '@/core/sitting/store';
import { now } from '../records/clock';
import { db } from '../records/db';
import { underAttempt } from '../records/ofQuiz';
import { holderOf } from '../records/tickets';
import { pictureBlob } from '../quiz/pictures';
import { draftPaper } from '../quiz/quizzes';
import { paperAt, settleByClosing } from '../quiz/revisions';
import { attemptsOfStudent, changeAttempt, startAttempt } from './attempts';
import { commentsByAttempt } from './comments';

/** Everything of one kind that the teacher wrote to some attempts. */
const ofAttempts = async <One>(
  ids: readonly string[],
  read: (id: string) => Promise<One[]>,
): Promise<One[]> => (await Promise.all(ids.map(read))).flat();

/** Students' papers as they lie in this browser's database. */
export const sittingStore: SittingStore = {
  now,

  async visit({ quizId, ticket }: PaperAddress) {
    await settleByClosing(quizId);
    const [quiz, holder] = await Promise.all([db.quizzes.get(quizId), holderOf(ticket)]);
    const student = holder === null ? undefined : await db.students.get(holder);
    if (!quiz || !student) return null;
    const made = await attemptsOfStudent(quizId, student.id);
    const members = await db.members.where('studentId').equals(student.id).toArray();
    // Whoever has begun goes on; for anybody else the quiz is not there.
    const isMeant = studentsSet(quiz.standing.setTo, [student], members).some(
      (one) => one.removedAt === null,
    );
    return isMeant || made.length > 0 ? { quiz, student, made } : null;
  },

  paper: (quizId, revision) => (revision === null ? draftPaper(quizId) : paperAt(quizId, revision)),

  async teachersWork(quizId, attemptIds) {
    const places =
      <One>(table: Table<One, [string, string, string]>) =>
      (attemptId: string) =>
        table
          .where('[quizId+attemptId+questionId]')
          .between(...underAttempt(quizId, attemptId))
          .toArray();
    const [overrides, comments, rulings] = await Promise.all([
      ofAttempts(attemptIds, places(db.overrides)),
      ofAttempts(attemptIds, places(db.comments)),
      db.rulings.bulkGet(attemptIds.map((attemptId): [string, string] => [quizId, attemptId])),
    ]);
    return {
      overrides: overridesByAttempt(overrides),
      comments: commentsByAttempt(comments),
      rulings: new Map(rulings.flatMap((ruling) => (ruling ? [[ruling.attemptId, ruling] as const] : []))),
    };
  },

  async begin(at) {
    const visit = await sittingStore.visit(at);
    if (visit) await startAttempt(at.quizId, visit.student.id);
  },

  async change({ quizId, ticket }, attemptId, decide, settles) {
    const holder = await holderOf(ticket);
    const isTheirs = (attempt: { quizId: string; studentId: string }) =>
      attempt.quizId === quizId && attempt.studentId === holder;
    return changeAttempt(attemptId, decide, { settles, isTheirs });
  },

  picture: pictureBlob,
};
