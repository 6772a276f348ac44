import { DEFAULT_SCORE_COLUMNS, SCORE_COLUMNS, type ScoreColumn } from '@/core/formats/scoresFile';
import { listedStudents } from '../class/roster';
import { head } from '../quiz/quizzes';
import { db } from '../records/db';

const keyOf = (quizId: string): string => `scoreColumns:${quizId}`;

/** The usual columns, with email addresses where students are known by them. */
async function usualColumns(quizId: string): Promise<readonly ScoreColumn[]> {
  const listed = await listedStudents((await head(quizId)).standing.setTo);
  if (listed.every(({ email }) => email === '')) return DEFAULT_SCORE_COLUMNS;
  return SCORE_COLUMNS.filter((column) => column === 'email' || DEFAULT_SCORE_COLUMNS.includes(column));
}

/** The columns that the quiz's file of scores had last. */
export async function scoreColumns(quizId: string): Promise<readonly ScoreColumn[]> {
  const kept = (await db.meta.get(keyOf(quizId)))?.value;
  if (typeof kept !== 'string') return usualColumns(quizId);
  const names = new Set(kept.split(','));
  return SCORE_COLUMNS.filter((column) => names.has(column));
}

/** Remembers with the quiz which columns its file of scores has. */
export async function keepScoreColumns(quizId: string, columns: readonly ScoreColumn[]): Promise<void> {
  await db.meta.put({ key: keyOf(quizId), value: columns.join(',') });
}
