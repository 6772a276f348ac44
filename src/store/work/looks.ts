import type { Look } from '@/core/quiz/work/look';
import { db } from '../records/db';
import { ofQuiz } from '../records/ofQuiz';
import { nextSeq } from '../records/sequence';

/** Notes that a student has seen the first page of a quiz, unless that is known. */
export const noteLook = (look: Look): Promise<void> =>
  db.transaction('rw', db.looks, db.meta, async () => {
    if (await db.looks.get([look.quizId, look.studentId])) return;
    await db.looks.put(look);
    // Whoever watches the quiz's work looks again.
    await nextSeq(look.quizId);
  });

/** When each student saw the first page of a quiz first: ms since 1970. */
export const looksAt = async (quizId: string): Promise<ReadonlyMap<string, number>> =>
  new Map((await ofQuiz.looks(quizId).toArray()).map(({ studentId, at }) => [studentId, at]));
