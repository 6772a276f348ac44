import { useQuiz } from '@/ui/teacher/quizContext';
import { useQuery, type Query } from '@/ui/widgets/useQuery';
import { quizState } from '@/ui/words/quizState';
import type { PlanView } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

/** The plan as the class meets it, kept up to date. */
export function usePlanView(): Query<PlanView> {
  const { quiz, attemptsSeq } = useQuiz();
  const { id } = quiz;
  return useQuery(() => classWorker().planView(id), [id, quizState(quiz), attemptsSeq]);
}
