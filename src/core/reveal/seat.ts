import { endOf, isTooLate, type Timed } from '../quiz/times/attemptEnd';
import { isOpen } from '../quiz/times/window';
import type { Belonging } from '../quiz/people/target';
import type { StudentWindow } from '../quiz/times/windows';

/** What of an attempt decides what is shown. All times in ms since 1970. */
export interface SeatAttempt extends Timed {
  readonly id: string;
  readonly number: number;
  readonly handedInAt: number | null;
  /** Whether the time of the hand-in is known: without one, nothing is too late. */
  readonly timeKnown: boolean;
  /** True where the teacher has voided it. */
  readonly voided: boolean;
  /** When the teacher took it in although it came too late; null: never. */
  readonly takenInAt: number | null;
  /** When nothing in it waited any more; null: something does still; `atHandIn`: nothing ever did. */
  readonly marked: 'atHandIn' | number | null;
}

/** A student as the plan meets them: who they are, when they may sit, and what they made of it. */
export interface Seat extends Belonging {
  readonly window: StudentWindow;
  /** Attempts that the teacher gave on top of those of the window. */
  readonly granted: number;
  /** When the student was taken off the class list; null: is on it. */
  readonly takenOffAt: number | null;
  /** Whether the quiz is set for them: others have a slip, and are nobody's *everyone*. */
  readonly meant: boolean;
  /** The first one first. */
  readonly attempts: readonly SeatAttempt[];
}

/** What a quiz says of unfinished work. */
export interface SeatRules {
  readonly unfinished: 'taken' | 'notCounted';
}

/** An attempt at an instant: handed in since, running until, or over without a hand-in. */
export type Stage =
  | { readonly stage: 'handedIn'; readonly at: number }
  /** `ends`: when it ends if nobody does anything; null: not known. */
  | { readonly stage: 'running'; readonly ends: number | null }
  | { readonly stage: 'notHandedIn'; readonly at: number };

/** Where an attempt stands at an instant; null where it was not begun by then. */
export function stageOf(
  attempt: SeatAttempt,
  window: StudentWindow,
  rules: SeatRules,
  now: number,
): Stage | null {
  if (attempt.handedInAt !== null && attempt.handedInAt <= now)
    return { stage: 'handedIn', at: attempt.handedInAt };
  if (attempt.begunAt > now) return null;
  const ends = endOf(attempt, window);
  if (ends === null || ends > now) return { stage: 'running', ends };
  // One that was given back is always taken at its end.
  return rules.unfinished === 'taken' || attempt.reopened
    ? { stage: 'handedIn', at: ends }
    : { stage: 'notHandedIn', at: ends };
}

/** Why an attempt has no score to show: it was voided, or came too late and was not taken in. */
export function whyNoScore(
  attempt: SeatAttempt,
  window: StudentWindow,
  now: number,
): 'voided' | 'tooLate' | null {
  if (attempt.voided) return 'voided';
  if (attempt.takenInAt !== null && attempt.takenInAt <= now) return null;
  const { handedInAt, timeKnown } = attempt;
  if (handedInAt === null || handedInAt > now || !timeKnown) return null;
  return isTooLate(window, handedInAt) ? 'tooLate' : null;
}

/** An instant that has come, one that will, or one that nobody knows. */
export interface Instant {
  /** Whether it has come. */
  readonly held: boolean;
  /** When it came, or would if nobody did anything from now on; null: not known. */
  readonly at: number | null;
}

export const heldSince = (at: number): Instant => ({ held: true, at });
const NOT_KNOWN: Instant = { held: false, at: null };

/** An instant set by the clock: come or to come; null: never by itself. */
export const byClock = (at: number | null, now: number): Instant =>
  at === null ? NOT_KNOWN : { held: at <= now, at };

/** The later of two: has come once both have. */
export const later = (a: Instant, b: Instant): Instant => ({
  held: a.held && b.held,
  at: a.at === null || b.at === null ? null : Math.max(a.at, b.at),
});

/** The sooner of two: has come once one has. */
export function sooner(a: Instant, b: Instant): Instant {
  if (a.held !== b.held) return a.held ? a : b;
  if (a.at === null || b.at === null) return a.at === null ? b : a;
  return a.at <= b.at ? a : b;
}

/** A student at an instant: what can be known of them then. */
export interface SeatNow {
  readonly seat: Seat;
  /** Those that were begun by then, with where they stand. */
  readonly attempts: readonly { readonly attempt: SeatAttempt; readonly stage: Stage }[];
  /** How many more can be begun; null: as many as the window allows. */
  readonly left: number | null;
  /** When the student could hand in no more: none running, and none left or the window over. */
  readonly noMore: Instant;
  /** When the student's window closed; for one who was taken off the list, that. */
  readonly closes: Instant;
  /** The first hand-in that is not voided; or, if sooner, when the student could hand in no more. */
  readonly done: Instant;
}

const START: Instant = heldSince(0);

/** Where a student stands at an instant: what happens later is not known yet. */
export function seatAt(seat: Seat, rules: SeatRules, now: number): SeatNow {
  const { window, granted } = seat;
  const attempts = seat.attempts.flatMap((attempt) => {
    const stage = stageOf(attempt, window, rules, now);
    return stage ? [{ attempt, stage }] : [];
  });
  const left = window.attempts === null ? null : Math.max(0, window.attempts + granted - attempts.length);
  const ends = attempts.map(({ stage }): Instant =>
    stage.stage === 'running' ? byClock(stage.ends, now) : heldSince(stage.at),
  );
  const over = byClock(window.until, now);
  const noMore = [left === 0 ? START : over, ...ends].reduce(later);
  const takenOff =
    seat.takenOffAt !== null && seat.takenOffAt <= now ? heldSince(seat.takenOffAt) : NOT_KNOWN;
  const handIns = attempts
    .filter(({ attempt }) => !attempt.voided)
    .flatMap(({ attempt, stage }): Instant[] => {
      if (stage.stage === 'handedIn') return [heldSince(stage.at)];
      const willBe = stage.stage === 'running' && (rules.unfinished === 'taken' || attempt.reopened);
      return willBe ? [byClock(stage.ends, now)] : [];
    });
  return {
    seat,
    attempts,
    left,
    noMore,
    closes: sooner(over, takenOff),
    done: [noMore, takenOff, ...handIns].reduce(sooner),
  };
}

/** Whether a student has handed in nothing and can hand in nothing any more. */
export const isMissing = ({ attempts, noMore }: SeatNow): boolean =>
  noMore.held && attempts.every(({ stage }) => stage.stage !== 'handedIn');

/** Whether a student may begin an attempt at an instant: in the window, none running, one left, and the quiz not taken back. */
export function canBegin({ seat, attempts, left }: SeatNow, now: number): boolean {
  if (!isOpen(seat.window, now)) return false;
  return left !== 0 && attempts.every(({ stage }) => stage.stage !== 'running');
}
