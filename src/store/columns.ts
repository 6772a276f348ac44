import { MarkColumn } from '@/core/checking/markColumn';
import type { Question } from '@/core/kinds';
import { contextKey, readingOf } from '@/core/marking/markAttempt';
import type { QuizContent } from '@/core/quiz/quiz';
import { db } from './db';

/** The kept marks of a question revision; they hold for the language they were made in. */
export async function loadColumn(
  quizId: string,
  question: Question,
  rev: number,
  content: QuizContent,
): Promise<MarkColumn> {
  const kept = await db.markColumns.get([quizId, question.id, rev]);
  const usable = kept && kept.language === contextKey(readingOf(content)) ? kept.marks : [];
  return new MarkColumn(question, readingOf(content), usable);
}

/** Keeps a column that has grown. A cache: where it cannot be kept, nothing is lost. */
export async function keepColumn(quizId: string, rev: number, column: MarkColumn): Promise<void> {
  if (!column.grown) return;
  await db.markColumns
    .put({
      quizId,
      questionId: column.question.id,
      rev,
      language: contextKey(column.context),
      marks: column.entries(),
    })
    .catch(() => undefined);
}
