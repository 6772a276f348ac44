import { endOf, isTooLate, type Timed } from './attemptEnd';
import type { Attempt, Ruling } from '../work/attempt';
import { isLate } from './due';
import type { QuizContent, QuizStanding } from '../quiz';
import type { Pause, StudentWindow, WindowFields } from './windows';

/**
 * Where a student's work stands, derived from what happened and the clock. `ranOut`: not handed in when its time or the
 * window ended. `late`: handed in after the due time. `tooLate`: handed in after the last moment.
 */
export type AttemptState = 'notOpened' | 'working' | 'handedIn' | 'late' | 'tooLate' | 'ranOut';

/** What of a student's window an attempt depends on. */
export type AttemptWindow = Pick<StudentWindow, 'due' | 'grace' | 'until' | 'timeLimit' | 'pauses'>;

/** The window of everyone for whom nothing is set apart. */
export const windowOfQuiz = (
  opening: QuizStanding['opening'],
  rules: Pick<QuizContent, 'attempts' | 'timeLimit' | 'goingBack' | 'comingBack'>,
): WindowFields => ({
  from: opening?.from ?? null,
  due: opening?.due ?? null,
  grace: opening?.grace ?? 0,
  until: opening?.until ?? null,
  timeLimit: rules.timeLimit,
  attempts: rules.attempts.most,
  goingBack: rules.goingBack,
  comingBack: rules.comingBack,
});

/** Whether a student has handed in: the latest attempt, or one before it while that is worked `again`. */
export const hasHandedIn = ({
  state,
  again,
}: {
  readonly state: AttemptState;
  readonly again: boolean;
}): boolean => again || isFinished(state);

/**
 * From the first moment at which anybody can sit to the last, with the windows of classes, groups and students; null where
 * nothing opens for anybody. `until` null: somebody's has no end.
 */
export function wholeSpan({ opening, windows }: Pick<QuizStanding, 'opening' | 'windows'>): {
  readonly from: number;
  readonly until: number | null;
} | null {
  const own = windows.flatMap(({ set }) => {
    const from = set.from ?? opening?.from ?? null;
    const until = set.until === undefined ? (opening?.until ?? null) : set.until;
    return from === null ? [] : [{ from, until }];
  });
  const all = opening ? [opening, ...own] : own;
  if (all.length === 0) return null;
  const ends = all.map(({ until }) => until);
  return {
    from: Math.min(...all.map(({ from }) => from)),
    until: ends.includes(null) ? null : Math.max(...ends.map((until) => until ?? 0)),
  };
}

/** A stretch of time, with when it was interrupted. */
type Span = Pick<WindowFields, 'from' | 'until'> & { readonly pauses?: readonly Pause[] };

/** True while the quiz is taken back: nobody sits. */
export const isTakenBack = (pauses: readonly Pause[], now: number): boolean =>
  pauses.some(({ from, to }) => from <= now && (to === null || now < to));

/** True while students may sit: from `from`, until just before `until`, and not while the quiz is taken back. */
export const isOpen = (window: Span | null, now: number): boolean =>
  window !== null &&
  window.from !== null &&
  now >= window.from &&
  (window.until === null || now < window.until) &&
  !isTakenBack(window.pauses ?? [], now);

/** True once the window has ended. */
export const isOver = (window: Span | null, now: number): boolean =>
  window !== null && window.until !== null && now >= window.until;

/** What of an attempt its end depends on. */
export const timedOf = ({ openedAt, limit, reopened }: Attempt): Timed => ({
  begunAt: openedAt,
  limit: limit ?? null,
  reopened: reopened ?? null,
});

/** When an attempt ends if it is not handed in: ms since 1970; null where nothing ends it. */
export const endOfAttempt = (attempt: Attempt, window: AttemptWindow): number | null =>
  endOf(timedOf(attempt), window);

export function attemptState(attempt: Attempt | undefined, window: AttemptWindow, now: number): AttemptState {
  if (!attempt) return 'notOpened';
  if (attempt.handedInAt !== null) {
    // A paper whose time nobody knows is never late.
    if (!attempt.timeKnown) return 'handedIn';
    if (isTooLate(window, attempt.handedInAt)) return 'tooLate';
    return isLate(window, attempt.handedInAt) ? 'late' : 'handedIn';
  }
  const end = endOfAttempt(attempt, window);
  return end !== null && now >= end ? 'ranOut' : 'working';
}

/** True where the student's part is over: handed in, or the time has run out. */
export const isFinished = (state: AttemptState): boolean => state !== 'notOpened' && state !== 'working';

/** The instant at which a finished attempt was handed in, or at which its time ended. */
export const finishedAt = (attempt: Attempt, window: AttemptWindow): number =>
  attempt.handedInAt ?? endOfAttempt(attempt, window) ?? attempt.savedAt;

/** Why an attempt does not count, in a word; null where it does. */
export type NotCounted = 'working' | 'notHandedIn' | 'tooLate' | 'voided';

/** Whether an attempt counts towards the recorded score, by what happened, the rules and the teacher's ruling. */
export function whyNotCounted(
  attempt: Attempt,
  window: AttemptWindow,
  rule: Pick<QuizContent, 'unfinished'>,
  now: number,
  ruling: Ruling | undefined,
): NotCounted | null {
  const state = attemptState(attempt, window, now);
  if (state === 'working' || state === 'notOpened') return 'working';
  if (ruling?.standing === 'voided') return 'voided';
  if (ruling?.standing === 'takenIn') return null;
  if (state === 'tooLate') return 'tooLate';
  // What was given back is taken at its end, whatever the rule.
  const isTaken = rule.unfinished === 'taken' || Boolean(attempt.reopened);
  return state === 'ranOut' && !isTaken ? 'notHandedIn' : null;
}

/** True where the attempt is marked and counts, before any ruling of the teacher. */
export const counts = (
  attempt: Attempt,
  window: AttemptWindow,
  rule: Pick<QuizContent, 'unfinished'>,
  now: number,
): boolean => whyNotCounted(attempt, window, rule, now, undefined) === null;
