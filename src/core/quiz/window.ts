import { isLate } from './due';
import type { Attempt, Ruling } from './attempt';
import type { Opening, QuizContent } from './quiz';

/**
 * Where a student's work stands, derived from what happened and the clock. `ranOut`: not handed in when the
 * quiz closed. `late`: handed in after the due time. `tooLate`: handed in after the last moment.
 */
export type AttemptState = 'notOpened' | 'working' | 'handedIn' | 'late' | 'tooLate' | 'ranOut';

/** True while students may sit: from `from`, until just before `until`. */
export const isOpen = (opening: Opening | null, now: number): boolean =>
  opening !== null && now >= opening.from && (opening.until === null || now < opening.until);

/** True once the window has been open and has ended. */
export const isOver = (opening: Opening | null, now: number): boolean =>
  opening !== null && opening.until !== null && now >= opening.until;

const MINUTE = 60_000;
/** A hand-in is cut to the full minute, for the last moment too. */
const isTooLate = (opening: Opening | null, at: number): boolean =>
  opening !== null && opening.until !== null && Math.floor(at / MINUTE) * MINUTE > opening.until;

export function attemptState(
  attempt: Attempt | undefined,
  opening: Opening | null,
  now: number,
): AttemptState {
  if (!attempt) return 'notOpened';
  if (attempt.handedInAt !== null) {
    // A paper whose time nobody knows is never late.
    if (!attempt.timeKnown) return 'handedIn';
    if (isTooLate(opening, attempt.handedInAt)) return 'tooLate';
    return opening && isLate(opening, attempt.handedInAt) ? 'late' : 'handedIn';
  }
  return isOver(opening, now) ? 'ranOut' : 'working';
}

/** True where the student's part is over: handed in, or the window has ended. */
export const isFinished = (state: AttemptState): boolean => state !== 'notOpened' && state !== 'working';

/** The instant at which a finished attempt was handed in, or at which the quiz closed over it. */
export const finishedAt = (attempt: Attempt, opening: Opening | null): number =>
  attempt.handedInAt ?? opening?.until ?? attempt.savedAt;

/** Why an attempt does not count, in a word; null where it does. */
export type NotCounted = 'working' | 'notHandedIn' | 'tooLate' | 'voided';

/** Whether an attempt counts towards the recorded score, by what happened, the rules and the teacher's ruling. */
export function whyNotCounted(
  attempt: Attempt,
  opening: Opening | null,
  rule: Pick<QuizContent, 'unfinished'>,
  now: number,
  ruling: Ruling | undefined,
): NotCounted | null {
  const state = attemptState(attempt, opening, now);
  if (state === 'working' || state === 'notOpened') return 'working';
  if (ruling?.standing === 'voided') return 'voided';
  if (ruling?.standing === 'takenIn') return null;
  if (state === 'tooLate') return 'tooLate';
  return state === 'ranOut' && rule.unfinished === 'notCounted' ? 'notHandedIn' : null;
}

/** True where the attempt is marked and counts, before any ruling of the teacher. */
export const counts = (
  attempt: Attempt,
  opening: Opening | null,
  rule: Pick<QuizContent, 'unfinished'>,
  now: number,
): boolean => whyNotCounted(attempt, opening, rule, now, undefined) === null;
