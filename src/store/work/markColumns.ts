import { valueAt } from '@/core/figures/valueAt';
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

/** Keeps the columns that have grown, each under the revision of its question. A cache: where it cannot be kept, nothing is lost. */
export async function keepColumns(
  quizId: string,
  revs: Readonly<Record<string, number>>,
  columns: readonly MarkColumn[],
): Promise<void> {
  const grown = columns.flatMap((column) => {
    const rev = valueAt(revs, column.question.id);
    if (rev === undefined || !column.grown) return [];
    const { context, question } = column;
    return [{ quizId, questionId: question.id, rev, madeUnder: madeUnder(context), marks: column.entries() }];
  });
  if (grown.length > 0) await db.markColumns.bulkPut(grown).catch(() => undefined);
}
