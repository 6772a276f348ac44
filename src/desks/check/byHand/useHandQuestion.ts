import { useQuiz } from '@/ui/teacher/quizContext';
import { useQuery } from '@/ui/widgets/useQuery';
import { classWorker } from '@/workers/clients';
import type { CheckTable } from '@/workers/classDesk';

/** What of a question is needed to mark its answers by hand: read once, so that going on waits for nothing. */
export function useHandQuestion(table: CheckTable, column: number) {
  const { quiz } = useQuiz();
  const id = table.questions[column]?.id ?? '';
  const { value, failure, again } = useQuery(
    async () => ({ id, found: await classWorker().handQuestion(quiz.id, id) }),
    [quiz.id, id, table],
  );
  return { question: value?.id === id ? value.found : null, failure, again };
}
