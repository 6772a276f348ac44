import type { Attempt } from './attempt';
import type { Opening, QuizContent } from './quiz';

/**
 * Where a student's work stands, derived from what happened and the clock: `ranOut` is work that was not
 * handed in when the quiz closed.
 */
export type AttemptState = 'notOpened' | 'working' | 'handedIn' | 'ranOut';

/** True while students may sit: from `from`, until just before `until`. */
export const isOpen = (opening: Opening | null, now: number): boolean =>
  opening !== null && now >= opening.from && (opening.until === null || now < opening.until);

/** True once the window has been open and has ended. */
export const isOver = (opening: Opening | null, now: number): boolean =>
  opening !== null && opening.until !== null && now >= opening.until;

export function attemptState(
  attempt: Attempt | undefined,
  opening: Opening | null,
  now: number,
): AttemptState {
  if (!attempt) return 'notOpened';
  if (attempt.handedInAt !== null) return 'handedIn';
  return isOver(opening, now) ? 'ranOut' : 'working';
}

/** True where the attempt is marked: handed in, or run out where the quiz takes unfinished work as it stands. */
export function counts(
  attempt: Attempt,
  opening: Opening | null,
  content: QuizContent,
  now: number,
): boolean {
  const state = attemptState(attempt, opening, now);
  return state === 'handedIn' || (state === 'ranOut' && content.unfinished === 'taken');
}
