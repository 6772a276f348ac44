import type { Transaction } from 'dexie';
import { countedBy, historyBy, keptBy, type FormStep, type Upgrade } from '@/core/forms/walk';

type Json = Record<string, unknown>;

/**
 * Brings all tables from the form before to the one of a step; `more` does what only that form needs. Kept marks are made anew
 * where questions or attempts may be marked otherwise.
 */
export const tablesBy =
  (step: FormStep, more?: (transaction: Transaction) => Promise<unknown>) =>
  async (transaction: Transaction): Promise<void> => {
    const each = (table: string, upgrade: Upgrade | undefined) =>
      upgrade
        ? transaction
            .table(table)
            .toCollection()
            .modify((record: Json) => {
              Object.assign(record, upgrade(record));
            })
        : Promise.resolve();
    const { content, standing } = step;
    const questions = step.question || step.placement || step.kept ? keptBy(step) : undefined;
    await each('quizzes', content || standing ? (quiz) => headBy(step, quiz as Json) : undefined);
    await each('quizRevs', content && countedBy(step));
    await each('questions', questions);
    await each('questionRevs', questions);
    await each('attempts', step.attempt);
    await each('students', step.student);
    await each('history', historyBy(step));
    if (questions || step.attempt) await transaction.table('markColumns').clear();
    await more?.(transaction);
  };

const headBy = ({ content, standing }: FormStep, quiz: Json): Json => ({
  ...(content ? { content: content(quiz['content']) } : {}),
  ...(standing ? { standing: standing(quiz['standing']) } : {}),
});
