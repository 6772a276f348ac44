import { attemptState, isOpen, isOver } from '@/core/quiz/window';
import type { Attempt } from '@/core/quiz/attempt';
import { pointsOfPaper } from '@/core/quiz/points';
import type { Paper } from '@/core/quiz/quiz';
import { Answer } from '@/core/kinds';
import { PaperPacket, Receipt, type Cover } from '@/core/reveal/packets';
import { ASPECTS } from '@/core/reveal/plan';
import { questionsForStudent, slipOf } from '@/core/reveal/slip';
import { whatIsShown } from '@/core/reveal/whatIsShown';
import { attemptOf, handInAttempt, keepAnswer, startAttempt, type Kept } from '@/store/attempts';
import { now } from '@/store/clock';
import { db, type QuizRecord } from '@/store/db';
import { ensureDemo } from '@/store/demo';
import { storageFailure } from '@/store/failure';
import { ofAttempt, overridesOf } from '@/store/overrides';
import { draftPaper } from '@/store/quizzes';
import { paperAt, settleByClosing } from '@/store/revisions';

/**
 * The desk that serves students: the only code that both opens the teacher's database and talks to a
 * student's page. Every packet goes through its strict schema on the way out.
 */

function coverOf(quiz: QuizRecord, paper: Paper, student: string): Cover {
  const { title, instructions } = paper.content;
  return {
    title,
    instructions,
    student,
    questions: paper.questions.length,
    points: pointsOfPaper(paper),
    until: quiz.standing.opening?.until ?? null,
    unfinished: quiz.content.unfinished,
    plan: ASPECTS.map((aspect) => ({ aspect, when: quiz.content.plan[aspect] })),
  };
}

/** The paper that this student is shown, or that counts for the slip. */
async function paperFor(quiz: QuizRecord, attempt: Attempt | undefined): Promise<Paper> {
  if (attempt && attempt.handedInAt === null && !isOver(quiz.standing.opening, now())) {
    return paperAt(quiz.id, attempt.revision);
  }
  const { live } = quiz.standing;
  return live === null || quiz.firstHandInAt === null ? draftPaper(quiz.id) : paperAt(quiz.id, live);
}

async function finishedPacket(
  quiz: QuizRecord,
  paper: Paper,
  attempt: Attempt,
  cover: Cover,
): Promise<PaperPacket> {
  const byItself = attempt.handedInAt === null;
  if (byItself && quiz.content.unfinished === 'notCounted') return { state: 'notHandedIn', cover };
  const finishedAt = attempt.handedInAt ?? quiz.standing.opening?.until ?? attempt.savedAt;
  const shown = whatIsShown({ plan: quiz.content.plan, standing: quiz.standing }, finishedAt, now());
  const overrides = ofAttempt(await overridesOf(quiz.id), attempt.id);
  return {
    state: 'finished',
    cover,
    slip: slipOf(paper, { answers: attempt.answers, finishedAt, byItself, overrides }, shown),
  };
}

async function packetFor(quizId: string, studentId: string): Promise<PaperPacket> {
  await ensureDemo();
  await settleByClosing(quizId);
  const [quiz, student] = await Promise.all([db.quizzes.get(quizId), db.students.get(studentId)]);
  if (!quiz || !student) return { state: 'unknown' };
  const attempt = await attemptOf(quizId, studentId);
  const paper = await paperFor(quiz, attempt);
  const cover = coverOf(quiz, paper, student.name);
  const state = attemptState(attempt, quiz.standing.opening, now());
  if (attempt && (state === 'handedIn' || state === 'ranOut'))
    return finishedPacket(quiz, paper, attempt, cover);
  const { opening } = quiz.standing;
  if (!isOpen(opening, now())) {
    const opensAt = opening && opening.from > now() ? opening.from : null;
    return { state: 'closed', cover, opensAt };
  }
  if (!attempt) return { state: 'ready', cover };
  const { id, answers, savedAt } = attempt;
  const started = Object.keys(answers).length > 0;
  return {
    state: 'working',
    cover,
    working: {
      attemptId: id,
      questions: questionsForStudent(paper),
      answers,
      savedAt: started ? savedAt : null,
    },
  };
}

async function receipt(work: Promise<Kept>): Promise<Receipt> {
  try {
    const kept = await work;
    return Receipt.parse(
      kept.ok ? { state: 'kept', at: kept.at } : { state: 'refused', reason: kept.reason },
    );
  } catch (error) {
    if (storageFailure(error) === 'other') throw error;
    return { state: 'refused', reason: 'storage' };
  }
}

export const studentDesk = {
  /** Where this student stands, and everything that may be seen there. */
  async openPaper(quizId: string, studentId: string): Promise<PaperPacket> {
    return PaperPacket.parse(await packetFor(quizId, studentId));
  },

  /** Starts the attempt: the student's one deliberate press. */
  async begin(quizId: string, studentId: string): Promise<PaperPacket> {
    await startAttempt(quizId, studentId);
    return PaperPacket.parse(await packetFor(quizId, studentId));
  },

  async saveAnswer(attemptId: string, questionId: string, answer: unknown): Promise<Receipt> {
    const read = answer === null ? null : Answer.safeParse(answer);
    if (read && !read.success) return { state: 'refused', reason: 'unknown' };
    return receipt(keepAnswer(attemptId, questionId, read?.data ?? null));
  },

  async handIn(attemptId: string): Promise<Receipt> {
    return receipt(handInAttempt(attemptId));
  },
};

export type StudentDesk = typeof studentDesk;
