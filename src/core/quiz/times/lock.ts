import type { Attempt } from '../work/attempt';
import type { StudentWindow } from './windows';

/** Where nobody comes back, a page that gives no sign for so long is locked: milliseconds. */
export const MOST_SILENCE = 120_000;

/** A sign that comes so soon after another one says nothing new: milliseconds. */
export const OFTEN_ENOUGH = 25_000;

/** The last sign of life that the page of an attempt gave: ms since 1970. */
export const lastSign = (attempt: Attempt): number =>
  Math.max(attempt.openedAt, attempt.savedAt, attempt.seenAt ?? 0);

/**
 * Since when an attempt that is not over is locked, as its page was left where nobody comes back; null where it is not. What
 * the teacher has let go on, or given back, waits for the student however long that takes. Silence while the quiz is taken
 * back is none; a page that was locked before stays so.
 */
export function lockedSince(
  attempt: Attempt,
  window: Pick<StudentWindow, 'comingBack' | 'pauses'>,
  now: number,
): number | null {
  if (window.comingBack || attempt.source !== 'sat') return null;
  let sign = lastSign(attempt);
  if (Math.max(attempt.letOn ?? 0, attempt.reopened?.at ?? 0) >= sign) return null;
  for (const { from, to } of [...window.pauses].sort((a, b) => a.from - b.from)) {
    if (from >= sign + MOST_SILENCE) break;
    if (to === null) return null;
    sign = Math.max(sign, to);
  }
  const since = sign + MOST_SILENCE;
  return now >= since ? since : null;
}
