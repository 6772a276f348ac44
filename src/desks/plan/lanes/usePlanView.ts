import type { Plans } from '@/store/quiz/standing';
import { useQuiz } from '@/ui/teacher/quizContext';
import { useQuery, type Query } from '@/ui/widgets/press/useQuery';
import { viewsDependOn } from '@/core/checking/dependsOn';
import type { PlanView } from '@/workers/classDesk';
import { classWorker } from '@/workers/clients';

/** The plan as the class meets it, or plans that are not in effect yet, kept up to date. */
export function usePlanView(plans: Plans | null): Query<PlanView> {
  const { quiz, attemptsSeq } = useQuiz();
  const { id } = quiz;
  return useQuery(
    () => classWorker().planView(id, plans),
    [id, viewsDependOn(quiz), attemptsSeq, JSON.stringify(plans)],
  );
}
