import { createContext, useContext, useMemo } from 'react';
import { paperFrom } from '@/core/quiz/paper';
import type { Paper } from '@/core/quiz/quiz';
import type { Pending } from '@/workers/classDesk';
import type { StoreFailure } from '@/device/failure';
import type { QuestionRecord, QuizRecord } from '@/store/records/db';

/** The quiz at hand, as every station of the workspace sees it. */
export interface QuizView {
  readonly quiz: QuizRecord;
  /** In the paper's order. */
  readonly questions: readonly QuestionRecord[];
  /** What waits in the draft; null while nobody has handed in. */
  readonly pending: Pending | null;
  /** Why what waits in the draft could not be worked out, and how to try again; null where it could be. */
  readonly pendingFailed: { readonly failure: StoreFailure; readonly again: () => void } | null;
  /** Grows with every change in anyone's work. */
  readonly attemptsSeq: number;
}

export const QuizContext = createContext<QuizView | null>(null);

/** The quiz at hand. Throws outside of a workspace. */
export function useQuiz(): QuizView {
  const view = useContext(QuizContext);
  if (!view) throw new Error('No quiz at hand');
  return view;
}

/** The draft at hand as a whole paper. */
export function usePaper(): Paper {
  const { quiz, questions } = useQuiz();
  const { content } = quiz;
  return useMemo(() => paperFrom(content, questions), [content, questions]);
}
