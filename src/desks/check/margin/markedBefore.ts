import { asksForMarks } from '@/core/reveal/markedAt';
import type { QuizRecord } from '@/store/records/db';
import type { KeptWith } from '@/store/work/overrides';
import { classWorker } from '@/workers/clients';

/** What must be kept with another own score, or without one: since when nothing waited in the paper, where the plan asks for that. */
export const markedBefore = async (
  { id, content, standing }: QuizRecord,
  attemptId: string,
): Promise<KeptWith> =>
  asksForMarks({ plan: content.plan, ownPlans: standing.plans })
    ? classWorker().markedBefore(id, [attemptId])
    : [];
