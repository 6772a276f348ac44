import type { Answer } from '@/core/kinds';
import type { Attempt } from '@/core/quiz/attempt';
import type { Opening, Paper } from '@/core/quiz/quiz';
import { begin, handIn, keep, type Decided, type Refusal, type Sitting } from '@/core/scoring/sitting';
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

/** A quiz as its students meet it. */
export const sittingOf = ({ standing, content }: QuizRecord): Sitting => ({
  opening: standing.opening,
  attempts: content.attempts,
});

const ATTEMPT_TABLES = [...REVISION_TABLES, db.attempts, db.meta];

/**
 * Starts the student's next attempt, or finds the one that is being worked at. Gives null where the quiz is not
 * open or no attempt is left.
 */
export const startAttempt = (quizId: string, studentId: string): Promise<Attempt | null> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const made = await attemptsOfStudent(quizId, studentId);
    const quiz = await db.quizzes.get(quizId);
    const at = now();
    const decided = quiz ? begin(sittingOf(quiz), made, at) : null;
    if (!quiz || !decided) return null;
    if ('goOn' in decided) return decided.goOn;
    const attempt: Attempt = {
      id: newId(),
      quizId,
      studentId,
      number: decided.number,
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

/** What became of a save or a hand-in: when it was stored, or why it was not. */
export type SaveResult =
  { readonly ok: true; readonly at: number } | { readonly ok: false; readonly reason: Refusal };

/** Decides about an attempt as it is stored now, and stores what was decided. */
const change = (
  attemptId: string,
  decide: (paper: Paper, attempt: Attempt, opening: Opening | null, at: number) => Decided,
  before: (quizId: string, at: number) => Promise<void> = async () => undefined,
): Promise<SaveResult> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const attempt = await db.attempts.get(attemptId);
    const quiz = attempt && (await db.quizzes.get(attempt.quizId));
    if (!attempt || !quiz) return { ok: false, reason: 'unknown' };
    const at = now();
    const paper = await paperAt(quiz.id, attempt.revision);
    const decided = decide(paper, attempt, quiz.standing.opening, at);
    if (!decided.ok) return decided;
    await before(quiz.id, at);
    await db.attempts.put({ ...decided.attempt, seq: await nextSeq(quiz.id) });
    return { ok: true, at };
  });

/** Saves one answer of an attempt that is not handed in, while the quiz is open: only to a question of its paper. */
export const keepAnswer = (
  attemptId: string,
  questionId: string,
  answer: Answer | null,
): Promise<SaveResult> =>
  change(attemptId, (paper, attempt, opening, at) =>
    keep(paper, attempt, opening, { questionId, answer }, at),
  );

/** Hands the attempt in, once and for all. */
export const handInAttempt = (attemptId: string): Promise<SaveResult> => change(attemptId, handIn, settle);
