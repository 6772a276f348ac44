import { db } from './db';

/** The number after the last change in the quiz's attempts. To be called inside a transaction that holds meta. */
export async function nextSeq(quizId: string): Promise<number> {
  const key = `seq:${quizId}`;
  const value = Number((await db.meta.get(key))?.value ?? 0) + 1;
  await db.meta.put({ key, value });
  return value;
}

/** Grows with every change in the quiz's attempts: cheap to watch. */
export const attemptsSeq = async (quizId: string): Promise<number> =>
  Number((await db.meta.get(`seq:${quizId}`))?.value ?? 0);
