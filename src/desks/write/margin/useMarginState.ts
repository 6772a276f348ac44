import { useMemo, type RefObject } from 'react';
import { plural } from '@/core/figures/plural';
import type { Question } from '@/core/kinds';
import type { Check, Placed } from '@/core/quiz/placement';
import type { StoreFailure } from '@/device/failure';
import type { Draft } from '@/ui/editing/useDraft';
import { usePaper } from '@/ui/teacher/quizContext';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { useSettled } from '@/ui/widgets/press/useSettled';
import { readyByQuestion } from '@/ui/words/readyList';
import { quickWorker } from '@/workers/clients';
import { useSpreads, type Spreads } from './useSpreads';

/** The draft of the question in hand, for what is changed from the margin; null while none is. */
export type HandDraft = RefObject<Draft<Placed> | null>;

/** What the margin knows of the questions, beside each and of the one in hand. */
export interface MarginState {
  /** null until they are known. */
  readonly spreads: Spreads | null;
  /** Why they could not be worked out, and how to try again. */
  readonly spreadsFailed: { readonly failure: StoreFailure; readonly again: () => void } | null;
  readonly ready: ReadonlyMap<string, readonly string[]>;
  /** Keeps checks with the question in hand. */
  readonly keep: (checks: Check[]) => void;
  /** Changes the question in hand. */
  readonly change: (question: Question) => void;
}

/** How many checks of each question are not met, said as the ready list says what is wrong. */
function useBrokenChecks(): Readonly<Record<string, number>> {
  const paper = useSettled(usePaper(), 400);
  const some = paper.placements.some(({ checks }) => checks.length > 0);
  const { value } = useQuery(
    () => (some ? quickWorker().brokenChecks(paper) : Promise.resolve({})),
    [some && paper],
  );
  return value ?? {};
}

const brokenWords = (broken: number): string =>
  `${broken} ${plural(broken, 'check is', 'checks are')} not met`;

/** What is known beside the questions, and the ways in which the margin changes the one in hand. */
export function useMarginState(hand: HandDraft): MarginState {
  const paper = usePaper();
  const { value, failure, again } = useSpreads();
  const broken = useBrokenChecks();
  const ready = useMemo(() => {
    const lines = new Map(readyByQuestion(paper));
    for (const [id, failed] of Object.entries(broken))
      lines.set(id, [...(lines.get(id) ?? []), brokenWords(failed)]);
    return lines;
  }, [paper, broken]);
  return useMemo(() => {
    const edit = (change: (placed: Placed) => Placed) => {
      const draft = hand.current;
      if (draft) draft.edit(change(draft.value));
    };
    return {
      spreads: value,
      spreadsFailed: failure && { failure, again },
      ready,
      keep: (checks) =>
        edit(({ question, placement }) => ({ question, placement: { ...placement, checks } })),
      change: (question) => edit(({ placement }) => ({ question, placement })),
    };
  }, [value, failure, again, ready, hand]);
}
