import { useQuiz } from '@/ui/teacher/quizContext';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { classWorker } from '@/workers/clients';
import type { CheckTable, HandQuestion } from '@/workers/classDesk';

type Asked = Map<string, Promise<HandQuestion | null>>;

/** What was asked for while a table is shown: the paper and its margin are given the same. */
const askedOf = new WeakMap<CheckTable['questions'], Asked>();

function handQuestion(table: CheckTable, quizId: string, id: string): Promise<HandQuestion | null> {
  const asked: Asked = askedOf.get(table.questions) ?? new Map<string, Promise<HandQuestion | null>>();
  askedOf.set(table.questions, asked);
  const known = asked.get(id);
  if (known) return known;
  const asking = classWorker().handQuestion(quizId, id);
  asked.set(id, asking);
  // What failed is asked for again.
  asking.catch(() => asked.delete(id));
  return asking;
}

/** What of a question is needed to mark its answers by hand: read once, so that going on waits for nothing. */
export function useHandQuestion(table: CheckTable, column: number) {
  const { quiz } = useQuiz();
  const id = table.questions[column]?.id ?? '';
  const { value, failure, again } = useQuery(
    async () => ({ id, found: await handQuestion(table, quiz.id, id) }),
    [quiz.id, id, table],
  );
  return { question: value?.id === id ? value.found : null, failure, again };
}
