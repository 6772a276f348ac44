import { viewsDependOn } from '@/core/checking/dependsOn';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useQuery, type Query } from '@/ui/widgets/press/useQuery';
import type { CheckRow, CheckTable } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

/** Rows fetched at a time: reading them keeps the page for a few milliseconds. */
const PIECE = 200;

/** The table with all its rows; made anew where another one was made while they were fetched. */
async function fetchTable(quizId: string): Promise<CheckTable> {
  for (;;) {
    const { token, count, ...head } = await classWorker().checkHead(quizId);
    const rows: CheckRow[] = [];
    let piece: CheckRow[] | null = [];
    while (piece && rows.length < count) {
      piece = await classWorker().checkRows(quizId, token, rows.length, rows.length + PIECE);
      if (piece) rows.push(...piece);
    }
    if (piece) return { ...head, rows };
  }
}

/** Everyone's marks, made anew whenever something changes that they depend on. */
export function useCheckTable(): Query<CheckTable> {
  const { quiz, attemptsSeq } = useQuiz();
  const { id } = quiz;
  const state = viewsDependOn(quiz);
  return useQuery(() => fetchTable(id), [id, state, attemptsSeq]);
}
