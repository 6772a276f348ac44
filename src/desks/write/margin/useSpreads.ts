import type { Spread } from '@/core/checking/spread';
import { usePaper, useQuiz } from '@/ui/teacher/quizContext';
import { useSettled } from '@/ui/widgets/press/useSettled';
import { useQuery, type Query } from '@/ui/widgets/press/useQuery';
import { classWorker, quickWorker } from '@/workers/clients';

/** How answers came out by question, and whose they are. */
export interface Spreads {
  readonly of: 'students' | 'madeUp';
  readonly byQuestion: Readonly<Record<string, Spread>>;
}

/** The class's own answers once somebody's work counts; before that, those of a made-up class. */
export function useSpreads(): Query<Spreads> {
  const { quiz, attemptsSeq } = useQuiz();
  // A made-up class is marked when the hand rests, not with each key: what is tried comes first.
  const paper = useSettled(usePaper(), 400);
  const counting = quiz.firstHandInAt !== null;
  const state = counting ? `${quiz.standing.live}/${attemptsSeq}` : '';
  return useQuery(
    async (): Promise<Spreads> =>
      counting
        ? { of: 'students', byQuestion: await classWorker().spreads(quiz.id) }
        : { of: 'madeUp', byQuestion: await quickWorker().madeUpSpreads(paper) },
    [quiz.id, counting, state, counting ? null : paper],
  );
}
