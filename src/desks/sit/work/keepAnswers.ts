import type { Answer } from '@/core/kinds';
import type { Receipt } from '@/core/reveal/packets';

type Refusal = Extract<Receipt, { state: 'refused' }>['reason'];

/** Refused whatever is tried again: the next answers are saved all the same. */
const FOR_GOOD: ReadonlySet<Refusal> = new Set(['passed', 'missing', 'unknown']);

/**
 * Saves what waits, one answer after the other, until nothing does or none can be saved any more. What was refused goes on
 * waiting, unless it has been answered anew meanwhile. Gives the last receipt that matters: the first refusal, else the
 * newest; null where nothing waited.
 */
export async function keepAnswers(
  waiting: Map<string, Answer | null>,
  save: (questionId: string, answer: Answer | null) => Promise<Receipt>,
): Promise<Receipt | null> {
  const refused = new Map<string, Answer | null>();
  let last: Receipt | null = null;
  let refusal: Receipt | null = null;
  for (let next = waiting.entries().next(); !next.done; next = waiting.entries().next()) {
    const [questionId, answer] = next.value;
    waiting.delete(questionId);
    refused.delete(questionId);
    last = await save(questionId, answer).catch((): Receipt => ({ state: 'refused', reason: 'storage' }));
    if (last.state === 'kept') continue;
    refusal ??= last;
    refused.set(questionId, answer);
    if (!FOR_GOOD.has(last.reason)) break;
  }
  for (const [questionId, answer] of refused) if (!waiting.has(questionId)) waiting.set(questionId, answer);
  return refused.size > 0 ? refusal : last;
}
