import type { Attempt } from '@/core/quiz/work/attempt';
import { attemptsSeq } from '@/store/records/sequence';
import { db, type QuizRecord } from '@/store/records/db';

interface ClassAttempts {
  seq: number;
  /** The quiz's own age: a quiz that was reset has another one. */
  readonly createdAt: number;
  readonly byId: Map<string, Attempt>;
}

const kept = new Map<string, ClassAttempts>();

/**
 * All attempts of a quiz. What was read before is kept, and only what has changed since is read; where attempts
 * have gone, everything is read anew.
 */
export async function cachedAttempts({ id: quizId, createdAt }: QuizRecord): Promise<Attempt[]> {
  return db.transaction('r', db.attempts, db.meta, async () => {
    const seq = await attemptsSeq(quizId);
    const before = kept.get(quizId);
    const known: ClassAttempts =
      before?.createdAt === createdAt ? before : { seq: -1, createdAt, byId: new Map<string, Attempt>() };
    if (known.seq !== seq) {
      const changed = await db.attempts
        .where('[quizId+seq]')
        .between([quizId, known.seq], [quizId, Infinity], false, true)
        .toArray();
      for (const attempt of changed) known.byId.set(attempt.id, attempt);
      const there = await db.attempts.where('[quizId+seq]').between([quizId, -1], [quizId, Infinity]).count();
      if (there !== known.byId.size || seq < known.seq) {
        known.byId.clear();
        const all = await db.attempts
          .where('[quizId+seq]')
          .between([quizId, -1], [quizId, Infinity])
          .toArray();
        for (const attempt of all) known.byId.set(attempt.id, attempt);
      }
      known.seq = seq;
      kept.set(quizId, known);
    }
    return [...known.byId.values()];
  });
}
