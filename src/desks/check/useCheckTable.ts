import { useEffect, useState } from 'react';
import { quizState } from '@/ui/quizState';
import { useQuiz } from '@/ui/quizContext';
import type { CheckRow, CheckTable } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

/** Rows fetched at a time: reading them keeps the page for a few milliseconds. */
const PIECE = 200;

/** The table with all its rows; null where a newer one is on its way. */
async function fetchTable(quizId: string, current: () => boolean): Promise<CheckTable | null> {
  const { token, count, ...head } = await classWorker().checkHead(quizId);
  const rows: CheckRow[] = [];
  while (rows.length < count) {
    const piece = await classWorker().checkRows(quizId, token, rows.length, rows.length + PIECE);
    if (!piece || !current()) return null;
    rows.push(...piece);
  }
  return { ...head, rows };
}

/** Everyone's marks, made anew whenever something changes that they depend on; null until the first are there. */
export function useCheckTable(): CheckTable | null {
  const { quiz, attemptsSeq } = useQuiz();
  const [table, setTable] = useState<CheckTable | null>(null);
  const { id } = quiz;
  const state = quizState(quiz);
  useEffect(() => {
    let current = true;
    void fetchTable(id, () => current).then((next) => next && current && setTable(next));
    return () => {
      current = false;
    };
  }, [id, state, attemptsSeq]);
  return table;
}
