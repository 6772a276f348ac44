import { db } from './db';

/** The first of `count` numbers after the last change. To be called inside a transaction that holds meta. */
export async function nextSeqs(quizId: string, count: number): Promise<number> {
  const key = `seq:${quizId}`;
  const last = Number((await db.meta.get(key))?.value ?? 0);
  await db.meta.put({ key, value: last + count });
  return last + 1;
}

/** The number after the last change in the quiz's attempts. To be called inside a transaction that holds meta. */
export const nextSeq = (quizId: string): Promise<number> => nextSeqs(quizId, 1);

/** Grows with every change in the quiz's attempts: cheap to watch. */
export const attemptsSeq = async (quizId: string): Promise<number> =>
  Number((await db.meta.get(`seq:${quizId}`))?.value ?? 0);
