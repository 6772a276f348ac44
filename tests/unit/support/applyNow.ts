import { applyDraft, type Applied } from '@/store/quiz/revisions';
import { classDesk } from '@/workers/classDesk';

/** Applies the draft with the effect that it has now, as the bar at the foot does. */
export async function applyNow(quizId: string): Promise<Extract<Applied, { ok: true }>> {
  const { shown } = await classDesk.pending(quizId);
  if (!shown) throw new Error('Nothing waits in the draft');
  const applied = await applyDraft(quizId, shown);
  if (!applied.ok) throw new Error(`Not applied: ${applied.reason}`);
  return applied;
}
