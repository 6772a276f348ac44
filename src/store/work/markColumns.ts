import { MarkColumn } from '@/core/checking/markColumn';
import type { Question } from '@/core/kinds';
import type { MarkingContext } from '@/core/marks/mark';
import { contextKey, ownContextOf } from '@/core/scoring/context';
import { MARKING_VERSION } from '@/core/scoring/version';
import type { Paper } from '@/core/quiz/quiz';
import { db } from '../records/db';

/** All besides question and answer that marks depend on: how answers are read, and by which version of the rules. */
const madeUnder = (context: MarkingContext): string => `${MARKING_VERSION} ${contextKey(context)}`;

/** The kept marks of a question revision, where they were made under what holds now. */
export async function loadColumn(
  quizId: string,
  question: Question,
  rev: number,
  paper: Paper,
): Promise<MarkColumn> {
  const kept = await db.markColumns.get([quizId, question.id, rev]);
  const context = ownContextOf(paper, question);
  const usable = kept?.madeUnder === madeUnder(context) ? kept.marks : [];
  return new MarkColumn(question, context, usable);
}

/** Keeps a column that has grown. A cache: where it cannot be kept, nothing is lost. */
export async function keepColumn(quizId: string, rev: number, column: MarkColumn): Promise<void> {
  if (!column.grown) return;
  await db.markColumns
    .put({
      quizId,
      questionId: column.question.id,
      rev,
      madeUnder: madeUnder(column.context),
      marks: column.entries(),
    })
    .catch(() => undefined);
}
