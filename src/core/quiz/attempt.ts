import { Answer } from '../kinds';
import { Id } from '../kinds/base';
import { z } from '../zod';
import type { Opening, QuizContent } from './quiz';

export const Student = z.strictObject({
  id: Id,
  name: z.string().min(1).max(200),
  /** The school's own number or code; may be empty. */
  number: z.string().max(60),
});
export type Student = z.infer<typeof Student>;

/** One student's paper: all answers in one record, with what happened to it and when. */
export const Attempt = z.strictObject({
  id: Id,
  quizId: Id,
  studentId: Id,
  /** 1 for the first. */
  number: z.number().int().min(1),
  /** The revision that the student was shown. */
  revision: z.number().int().min(1),
  openedAt: z.number().int(),
  savedAt: z.number().int(),
  handedInAt: z.number().int().nullable(),
  source: z.enum(['sat', 'file']),
  answers: z.record(Id, Answer),
  /** Grows with every change in the quiz's attempts, so that a reader can ask for what is new. */
  seq: z.number().int().min(0),
});
export type Attempt = z.infer<typeof Attempt>;

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
