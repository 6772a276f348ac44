import type { Table } from 'dexie';
import { overridesByAttempt } from '@/core/checking/classWork';
import { ofThoseSet, studentsSet } from '@/core/quiz/people/school';
import { windowOfQuiz } from '@/core/quiz/times/window';
import { windowsOf } from '@/core/quiz/times/windowsOf';
import { asksForOthers } from '@/core/reveal/kept';
import { sceneFor } from '@/core/reveal/scene';
import type { PaperAddress } from '@/core/sitting/port';
import type { SittingStore } from '@/core/sitting/store';
import { now } from '@/device/clock';
import { db } from '../records/db';
import { ofQuiz, underAttempt } from '../records/ofQuiz';
import { holderOf } from '../records/tickets';
import { pictureBlob } from '../quiz/pictures';
import { draftPaper } from '../quiz/quizzes';
import { school } from '../class/roster';
import { paperAt, settleByClosing } from '../quiz/revisions';
import { windowOfStudent } from '../quiz/windows';
import { noteLook } from './looks';
import { attemptsOfStudent, changeAttempt, startAttempt } from './attempts';
import { commentsByAttempt } from './comments';
import { overridesOf } from './overrides';
import { rulingsOf } from './rulings';

/** Everything of one kind that the teacher wrote to some attempts. */
const ofAttempts = async <One>(
  ids: readonly string[],
  read: (id: string) => Promise<One[]>,
): Promise<One[]> => (await Promise.all(ids.map(read))).flat();

/** Students' papers as they lie in this browser's database. */
export const sittingStore: SittingStore = {
  now,
  look: ({ quiz, student }) => noteLook({ quizId: quiz.id, studentId: student.id, at: now() }),

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
    if (!isMeant && made.length === 0) return null;
    return { quiz, student, made, window: await windowOfStudent(quiz, student.id) };
  },

  paper: (quizId, revision) => (revision === null ? draftPaper(quizId) : paperAt(quizId, revision)),

  async scene({ quiz, student, made }) {
    const { plans, windows } = quiz.standing;
    const alone =
      plans.length + windows.length === 0 && !asksForOthers({ plan: quiz.content.plan, ownPlans: [] });
    const [people, members, attempts, rulings] = await Promise.all([
      alone ? db.students.where('id').equals(student.id).toArray() : db.students.toArray(),
      alone ? db.members.where('studentId').equals(student.id).toArray() : db.members.toArray(),
      alone ? made : ofQuiz.attempts(quiz.id).toArray(),
      rulingsOf(quiz.id),
    ]);
    return sceneFor({
      content: quiz.content,
      standing: quiz.standing,
      people,
      members,
      attempts,
      rulings,
      visitor: student.id,
    });
  },

  async everyonesWork({ quiz }) {
    const { content, standing } = quiz;
    const [[people, members], all, overrides, rulings] = await Promise.all([
      school(),
      ofQuiz.attempts(quiz.id).toArray(),
      overridesOf(quiz.id),
      rulingsOf(quiz.id),
    ]);
    const attempts = ofThoseSet(studentsSet(standing.setTo, people, members), all);
    const windowOf = windowsOf(windowOfQuiz(standing.opening, content), standing, people, members);
    return { attempts, windowOf, overrides, rulings };
  },

  together: (_, make) => make(),

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
