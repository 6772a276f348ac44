import type { Attempt } from '@/core/quiz/work/attempt';
import { begin, begun } from '@/core/sitting/decide';
import { sittingOf } from '@/core/sitting/packet';
import type { Decide, Stored } from '@/core/sitting/store';
import { now } from '@/device/clock';
import { db } from '../records/db';
import { newId, newSeed } from '@/device/ids';
import { ofQuiz } from '../records/ofQuiz';
import { nextSeq } from '../records/sequence';
import { windowOfStudent } from '../quiz/windows';
import { currentRevision, paperAt, REVISION_TABLES, settle } from '../quiz/revisions';

export const attemptsOf = (quizId: string): Promise<Attempt[]> => ofQuiz.attempts(quizId).toArray();

/** A student's attempts at a quiz, the first one first. */
export const attemptsOfStudent = async (quizId: string, studentId: string): Promise<Attempt[]> =>
  (await db.attempts.where('[quizId+studentId]').equals([quizId, studentId]).toArray()).sort(
    (a, b) => a.number - b.number,
  );

const ATTEMPT_TABLES = [...REVISION_TABLES, db.attempts, db.students, db.members, db.meta];

/**
 * Starts the student's next attempt, or finds the one that is being worked at. Gives null where the quiz is not
 * open or no attempt is left.
 */
export const startAttempt = (quizId: string, studentId: string): Promise<Attempt | null> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const made = await attemptsOfStudent(quizId, studentId);
    const quiz = await db.quizzes.get(quizId);
    const at = now();
    if (!quiz) return null;
    const window = await windowOfStudent(quiz, studentId);
    const decided = begin(sittingOf({ quiz, student: { id: studentId, name: '' }, window }), made, at);
    if (!decided) return null;
    if ('goOn' in decided) return decided.goOn;
    const attempt = begun(
      {
        id: newId(),
        quizId,
        studentId,
        number: decided.number,
        revision: await currentRevision(quiz),
        seed: newSeed(),
        seq: await nextSeq(quizId),
      },
      at,
      window.timeLimit,
    );
    await db.attempts.add(attempt);
    return attempt;
  });

/**
 * Decides about an attempt as it is stored now, and stores what was decided where it differs. `settles`: from then on
 * edits of the quiz wait in its draft. `isTheirs`: whether whoever asks may change this attempt.
 */
export const changeAttempt = (
  attemptId: string,
  decide: Decide,
  { settles, isTheirs }: { readonly settles: boolean; readonly isTheirs: (attempt: Attempt) => boolean },
): Promise<Stored> =>
  db.transaction('rw', ATTEMPT_TABLES, async () => {
    const attempt = await db.attempts.get(attemptId);
    const quiz = attempt && (await db.quizzes.get(attempt.quizId));
    if (!attempt || !quiz || !isTheirs(attempt)) return { ok: false, reason: 'unknown' };
    const at = now();
    const window = await windowOfStudent(quiz, attempt.studentId);
    const decided = decide(await paperAt(quiz.id, attempt.revision), attempt, window, at);
    const put = async (after: Attempt) => db.attempts.put({ ...after, seq: await nextSeq(quiz.id) });
    if (!decided.ok) {
      if (decided.attempt) await put(decided.attempt);
      return { ok: false, reason: decided.reason };
    }
    const after = decided.attempt;
    if (after === attempt) return { ok: true, at: attempt.handedInAt ?? attempt.savedAt };
    if (settles) await settle(quiz.id, at);
    await put(after);
    return { ok: true, at };
  });
