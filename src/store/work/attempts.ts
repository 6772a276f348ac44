import type { Answer, Question } from '@/core/kinds';
import { contextOf, markAnswer } from '@/core/scoring/markAttempt';
import type { Paper } from '@/core/quiz/quiz';
import { mustAnswer } from '@/core/quiz/points';
import type { Attempt } from '@/core/quiz/attempt';
import { attemptState, isFinished, isOpen } from '@/core/quiz/window';
import { now } from '../records/clock';
import { db, type QuizRecord } from '../records/db';
import { newId } from '../records/ids';
import { allNumbers } from '../records/ranges';
import { nextSeq } from '../records/sequence';
import { currentRevision, paperAt, REVISION_TABLES, settle } from '../quiz/revisions';

export const attemptsOf = (quizId: string): Promise<Attempt[]> =>
  db.attempts
    .where('[quizId+seq]')
    .between(...allNumbers(quizId))
    .toArray();

/** A student's attempts at a quiz, the first one first. */
export const attemptsOfStudent = async (quizId: string, studentId: string): Promise<Attempt[]> =>
  (await db.attempts.where('[quizId+studentId]').equals([quizId, studentId]).toArray()).sort(
    (a, b) => a.number - b.number,
  );

const ATTEMPT_TABLES = [...REVISION_TABLES, db.attempts, db.meta];

async function openQuizNow(quizId: string): Promise<QuizRecord | null> {
  const quiz = await db.quizzes.get(quizId);
  return quiz && isOpen(quiz.standing.opening, now()) ? quiz : null;
}

/** True where a student who has made these attempts may begin another one. */
export function mayBegin(quiz: QuizRecord, attempts: readonly Attempt[], at: number): boolean {
  const { most } = quiz.content.attempts;
  const { opening } = quiz.standing;
  return (
    isOpen(opening, at) &&
    attempts.every((attempt) => isFinished(attemptState(attempt, opening, at))) &&
    (most === null || attempts.length < most)
  );
}

/**
 * Starts the student's next attempt, or finds the one that is being worked at. Gives null where the quiz is not
 * open or no attempt is left.
 */
export const startAttempt = (quizId: string, studentId: string): Promise<Attempt | null> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const made = await attemptsOfStudent(quizId, studentId);
    const last = made.at(-1);
    if (last && last.handedInAt === null) return last;
    const quiz = await openQuizNow(quizId);
    const at = now();
    if (!quiz || !mayBegin(quiz, made, at)) return null;
    const attempt: Attempt = {
      id: newId(),
      quizId,
      studentId,
      number: (last?.number ?? 0) + 1,
      revision: await currentRevision(quiz),
      openedAt: at,
      savedAt: at,
      handedInAt: null,
      timeKnown: true,
      source: 'sat',
      answers: {},
      seq: await nextSeq(quizId),
    };
    await db.attempts.add(attempt);
    return attempt;
  });

export type Kept =
  | { readonly ok: true; readonly at: number }
  | { readonly ok: false; readonly reason: 'closed' | 'handedIn' | 'missing' | 'unknown' };

async function unfinished(attemptId: string): Promise<Attempt | Exclude<Kept, { ok: true }>> {
  const attempt = await db.attempts.get(attemptId);
  if (!attempt) return { ok: false, reason: 'unknown' };
  if (attempt.handedInAt !== null) return { ok: false, reason: 'handedIn' };
  return (await openQuizNow(attempt.quizId)) ? attempt : { ok: false, reason: 'closed' };
}

/** True for an answer that a student's page can give to a question; files may bring others. */
const isGiven = (question: Question, answer: Answer): boolean => answer.kind === question.kind;

/** Saves one answer of an attempt that is not handed in, while the quiz is open: only to a question of its paper. */
export const keepAnswer = (attemptId: string, questionId: string, answer: Answer | null): Promise<Kept> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const attempt = await unfinished(attemptId);
    if ('ok' in attempt) return attempt;
    const { questions } = await paperAt(attempt.quizId, attempt.revision);
    const question = questions.find(({ id }) => id === questionId);
    if (!question || (answer && !isGiven(question, answer))) return { ok: false, reason: 'unknown' };
    const { [questionId]: _, ...rest } = attempt.answers;
    const answers = answer ? { ...rest, [questionId]: answer } : rest;
    const at = now();
    await db.attempts.put({ ...attempt, answers, savedAt: at, seq: await nextSeq(attempt.quizId) });
    return { ok: true, at };
  });

/** Questions that must be answered and are blank: an answer of spaces or punctuation alone is one, too. */
function missingIn(paper: Paper, { answers }: Attempt): boolean {
  const context = contextOf(paper);
  return paper.questions.some(
    (question) =>
      mustAnswer(question, paper.content) &&
      markAnswer(question, answers[question.id] ?? null, context).state === 'blank',
  );
}

/** Hands the attempt in, once and for all. */
export const handInAttempt = (attemptId: string): Promise<Kept> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const attempt = await unfinished(attemptId);
    if ('ok' in attempt) return attempt;
    if (missingIn(await paperAt(attempt.quizId, attempt.revision), attempt))
      return { ok: false, reason: 'missing' };
    const at = now();
    await settle(attempt.quizId, at);
    await db.attempts.put({ ...attempt, handedInAt: at, seq: await nextSeq(attempt.quizId) });
    return { ok: true, at };
  });
