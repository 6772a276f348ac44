import { canonical } from '@/core/quiz/same';
import type { Answer } from '@/core/kinds';
import { isOpen } from '@/core/quiz/window';
import type { Attempt } from '@/core/quiz/attempt';
import type { ReadPaper } from '@/core/formats/answerFile';
import { now } from './clock';
import { db, type QuizRecord } from './db';
import { newId } from './ids';
import { newStudent } from './roster';
import { nextSeq } from './seq';
import { mustAnswer } from '@/core/quiz/points';
import { currentRevision, paperAt, REVISION_TABLES, settle } from './revisions';

export const attemptsOf = (quizId: string): Promise<Attempt[]> =>
  db.attempts.where('[quizId+seq]').between([quizId, 0], [quizId, Infinity]).toArray();

export const attemptOf = (quizId: string, studentId: string): Promise<Attempt | undefined> =>
  db.attempts.where('[quizId+studentId]').equals([quizId, studentId]).first();

const ATTEMPT_TABLES = [...REVISION_TABLES, db.attempts, db.meta];

async function openQuizNow(quizId: string): Promise<QuizRecord | null> {
  const quiz = await db.quizzes.get(quizId);
  return quiz && isOpen(quiz.standing.opening, now()) ? quiz : null;
}

/** Starts the student's attempt, or finds the one that was started. Gives null where the quiz is not open. */
export const startAttempt = (quizId: string, studentId: string): Promise<Attempt | null> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const known = await attemptOf(quizId, studentId);
    if (known) return known;
    const quiz = await openQuizNow(quizId);
    if (!quiz) return null;
    const at = now();
    const attempt: Attempt = {
      id: newId(),
      quizId,
      studentId,
      number: 1,
      revision: await currentRevision(quiz),
      openedAt: at,
      savedAt: at,
      handedInAt: null,
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

/** Keeps one answer of an attempt that is not handed in, while the quiz is open. */
export const keepAnswer = (attemptId: string, questionId: string, answer: Answer | null): Promise<Kept> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const attempt = await unfinished(attemptId);
    if ('ok' in attempt) return attempt;
    const { [questionId]: _, ...rest } = attempt.answers;
    const answers = answer ? { ...rest, [questionId]: answer } : rest;
    const at = now();
    await db.attempts.put({ ...attempt, answers, savedAt: at, seq: await nextSeq(attempt.quizId) });
    return { ok: true, at };
  });

/** Hands the attempt in, once and for all. */
export const handInAttempt = (attemptId: string): Promise<Kept> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const attempt = await unfinished(attemptId);
    if ('ok' in attempt) return attempt;
    const paper = await paperAt(attempt.quizId, attempt.revision);
    const missing = paper.questions.some(
      (question) => mustAnswer(question, paper.content) && !(question.id in attempt.answers),
    );
    if (missing) return { ok: false, reason: 'missing' };
    const at = now();
    await settle(attempt.quizId, at);
    await db.attempts.put({ ...attempt, handedInAt: at, seq: await nextSeq(attempt.quizId) });
    return { ok: true, at };
  });

/** What an import did, in numbers of papers. */
export interface ImportReport {
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  /** Students who handed in on screen: their work stays. */
  readonly refused: readonly { readonly line: number; readonly name: string }[];
  readonly newStudents: number;
}

/** Takes papers from a file, all in one transaction. A paper that came from a file before is brought up to date. */
export const importPapers = (quizId: string, papers: readonly ReadPaper[]): Promise<ImportReport> =>
  db.transaction('rw', [...ATTEMPT_TABLES, db.students], async () => {
    const at = now();
    if (papers.length > 0) await settle(quizId, at);
    const quiz = await db.quizzes.get(quizId);
    if (!quiz) throw new Error(`No quiz ${quizId}`);
    const report = { added: 0, changed: 0, unchanged: 0, newStudents: 0 };
    const refused: { line: number; name: string }[] = [];
    for (const paper of papers) {
      const studentId = paper.studentId ?? newId();
      if (paper.studentId === null) {
        await db.students.add({ ...newStudent(studentId, paper.name), number: paper.number });
        report.newStudents++;
      }
      const known = await attemptOf(quizId, studentId);
      if (known && known.source === 'sat') {
        refused.push({ line: paper.line, name: paper.name });
        continue;
      }
      const outcome = known
        ? canonical(known.answers) === canonical(paper.answers)
          ? 'unchanged'
          : 'changed'
        : 'added';
      report[outcome]++;
      if (outcome === 'unchanged') continue;
      await db.attempts.put({
        id: known?.id ?? newId(),
        quizId,
        studentId,
        number: 1,
        revision: quiz.standing.live ?? 1,
        openedAt: known?.openedAt ?? at,
        savedAt: at,
        handedInAt: known?.handedInAt ?? at,
        source: 'file',
        answers: paper.answers,
        seq: await nextSeq(quizId),
      });
    }
    return { ...report, refused };
  });
