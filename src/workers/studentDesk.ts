import { attemptState, finishedAt, isFinished, isOpen, isOver } from '@/core/quiz/window';
import type { Attempt } from '@/core/quiz/attempt';
import { MarkedClass } from '@/core/checking/classWork';
import { pointsOfPaper } from '@/core/quiz/points';
import type { Paper } from '@/core/quiz/quiz';
import { Answer } from '@/core/kinds';
import { PaperPacket, Receipt, type Attempts, type Cover } from '@/core/reveal/packets';
import { ASPECTS } from '@/core/quiz/plan';
import { questionsForStudent, slipOf } from '@/core/reveal/slip';
import { mayBegin } from '@/core/scoring/sitting';
import { whatIsShown } from '@/core/reveal/whatIsShown';
import { pictureHashes } from '@/core/content/pictureHashes';
import {
  attemptsOfStudent,
  handInAttempt,
  keepAnswer,
  sittingOf,
  startAttempt,
  type SaveResult,
} from '@/store/work/attempts';
import { now } from '@/store/records/clock';
import { commentsOf } from '@/store/work/comments';
import { db, type QuizRecord } from '@/store/records/db';
import { ensureDemo } from '@/store/demo/demo';
import { failureOf } from '@/store/records/failure';
import { pictureBlob } from '@/store/quiz/pictures';
import { overridesOf } from '@/store/work/overrides';
import { draftPaper } from '@/store/quiz/quizzes';
import { paperAt, settleByClosing } from '@/store/quiz/revisions';
import { rulingsOf } from '@/store/work/rulings';
import { isLate } from '@/core/quiz/due';

/**
 * The desk that serves students: the only code that both opens the teacher's database and talks to a
 * student's page. Every packet goes through its strict schema on the way out.
 */

function coverOf(quiz: QuizRecord, paper: Paper, student: string): Cover {
  const { title, instructions } = paper.content;
  const { opening } = quiz.standing;
  return {
    title,
    instructions,
    student,
    questions: paper.questions.length,
    points: pointsOfPaper(paper),
    until: opening?.until ?? null,
    due: opening?.due ?? null,
    grace: opening?.grace ?? 0,
    overdue: opening !== null && isLate(opening, now()),
    late: paper.content.late,
    attempts: { most: quiz.content.attempts.most, counts: paper.content.attempts.counts },
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

interface PacketRequest {
  readonly quiz: QuizRecord;
  readonly paper: Paper;
  readonly cover: Cover;
  readonly made: readonly Attempt[];
  /** Which attempt's slip is asked for; the latest where nothing is said. */
  readonly wanted: number | undefined;
}

async function finishedPacket({ quiz, paper, cover, made, wanted }: PacketRequest): Promise<PaperPacket> {
  const { opening } = quiz.standing;
  const at = now();
  const [overrides, rulings, comments] = await Promise.all([
    overridesOf(quiz.id),
    rulingsOf(quiz.id),
    commentsOf(quiz.id),
  ]);
  const { unfinished } = quiz.content;
  const work = { attempts: made, opening, unfinished, overrides, rulings, at };
  const [own] = new MarkedClass(paper, work).students();
  const sheet = own?.sheets.find((one) => one.attempt.number === wanted) ?? own?.sheets.at(-1);
  if (!own || !sheet) return { state: 'notHandedIn', cover };
  const { attempt, notCounted } = sheet;
  const ended = finishedAt(attempt, opening);
  const shown = whatIsShown(
    { plan: quiz.content.plan, standing: quiz.standing },
    { studentId: attempt.studentId, finishedAt: ended },
    at,
  );
  const { counts } = paper.content.attempts;
  const recorded = own.sheets.length > 1 && shown.score.shown ? own.recorded : null;
  const attempts: Attempts = {
    number: attempt.number,
    finished: own.sheets.map((one) => one.attempt.number),
    notCounted: notCounted === 'tooLate' || notCounted === 'voided' ? notCounted : null,
    recorded: recorded && { score: recorded.score, outOf: recorded.outOf, counts },
    mayBegin: mayBegin(sittingOf(quiz), made, at),
  };
  const slip = slipOf(paper, { sheet, finishedAt: ended, comments: comments.get(attempt.id) ?? {} }, shown);
  return { state: 'finished', cover, slip, attempts };
}

async function packetFor(quizId: string, studentId: string, wanted?: number): Promise<PaperPacket> {
  await settleByClosing(quizId);
  const [quiz, student] = await Promise.all([db.quizzes.get(quizId), db.students.get(studentId)]);
  if (!quiz || !student) return { state: 'unknown' };
  const made = await attemptsOfStudent(quizId, studentId);
  const attempt = made.at(-1);
  const paper = await paperFor(quiz, attempt);
  const cover = coverOf(quiz, paper, student.name);
  const state = attemptState(attempt, quiz.standing.opening, now());
  if (isFinished(state)) return finishedPacket({ quiz, paper, cover, made, wanted });
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
      questions: questionsForStudent(paper, 1),
      answers,
      savedAt: started ? savedAt : null,
    },
  };
}

async function receipt(work: Promise<SaveResult>): Promise<Receipt> {
  try {
    const kept = await work;
    return Receipt.parse(
      kept.ok ? { state: 'kept', at: kept.at } : { state: 'refused', reason: kept.reason },
    );
  } catch (error) {
    const failure = failureOf(error);
    if (failure !== 'full' && failure !== 'blocked') throw error;
    return { state: 'refused', reason: 'storage' };
  }
}

/** The pictures that each student's page has been sent: asked for again, they need no new packet. */
const sent = new Map<string, Set<string>>();

async function packet(quizId: string, studentId: string, attempt?: number): Promise<PaperPacket> {
  const made = PaperPacket.parse(await packetFor(quizId, studentId, attempt));
  const key = `${quizId}/${studentId}`;
  sent.set(key, new Set([...(sent.get(key) ?? []), ...pictureHashes(made)]));
  return made;
}

export const studentDesk = {
  /** Where this student stands, and everything that may be seen there; of several attempts, the one asked for. */
  async openPaper(quizId: string, studentId: string, attempt?: number): Promise<PaperPacket> {
    await ensureDemo();
    return packet(quizId, studentId, attempt);
  },

  /** Starts the next attempt: the student's one deliberate press. */
  async begin(quizId: string, studentId: string): Promise<PaperPacket> {
    await startAttempt(quizId, studentId);
    return packet(quizId, studentId);
  },

  async saveAnswer(attemptId: string, questionId: string, answer: unknown): Promise<Receipt> {
    const read = answer === null ? null : Answer.safeParse(answer);
    if (read && !read.success) return { state: 'refused', reason: 'unknown' };
    return receipt(keepAnswer(attemptId, questionId, read?.data ?? null));
  },

  async handIn(attemptId: string): Promise<Receipt> {
    return receipt(handInAttempt(attemptId));
  },

  /** A picture of this quiz's paper, once the student may see the paper; null otherwise. */
  async picture(quizId: string, studentId: string, hash: string): Promise<Blob | null> {
    const key = `${quizId}/${studentId}`;
    if (!sent.get(key)?.has(hash)) await packet(quizId, studentId);
    return sent.get(key)?.has(hash) ? pictureBlob(hash) : null;
  },
};

export type StudentDesk = typeof studentDesk;
