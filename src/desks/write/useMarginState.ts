import { useMemo, useState } from 'react';
import type { Answer } from '@/core/kinds';
import type { StoreFailure } from '@/store/records/failure';
import { usePaper } from '@/ui/teacher/quizContext';
import { readyByQuestion } from '@/ui/words/readyList';
import { useSpreads, type Spreads } from './useSpreads';

/** What the margin knows of the questions, beside each and of the one in hand. */
export interface MarginState {
  /** null until they are known. */
  readonly spreads: Spreads | null;
  /** Why they could not be worked out, and how to try again. */
  readonly spreadsFailed: { readonly failure: StoreFailure; readonly again: () => void } | null;
  readonly ready: ReadonlyMap<string, readonly string[]>;
  readonly keptOf: (id: string) => readonly Answer[];
  readonly keep: (id: string, answers: readonly Answer[]) => void;
}

const NONE: readonly Answer[] = [];

/** Answers that were tried stay with their questions for as long as the paper is open. */
export function useMarginState(): MarginState {
  const paper = usePaper();
  const { value, failure, again } = useSpreads();
  const [kept, setKept] = useState<ReadonlyMap<string, readonly Answer[]>>(new Map());
  const ready = useMemo(() => readyByQuestion(paper), [paper]);
  return useMemo(
    () => ({
      spreads: value,
      spreadsFailed: failure && { failure, again },
      ready,
      keptOf: (id) => kept.get(id) ?? NONE,
      keep: (id, answers) => setKept((before) => new Map(before).set(id, answers)),
    }),
    [value, failure, again, ready, kept],
  );
}
