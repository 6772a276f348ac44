import { valueAt } from '../figures/valueAt';
import { kindOf, type Answer, type Question } from '../kinds';
import { progressOfAnswer } from '../kinds/progress';
import { isEmptyProse } from '../content/prose';
import type { Attempt } from '../quiz/work/attempt';
import { same } from '../figures/deepEqual';
import { lastSign, lockedSince, MOST_SILENCE, OFTEN_ENOUGH } from '../quiz/times/lock';
import type { MustAnswer } from '../quiz/placement';
import { pageSizes } from '../quiz/pages';
import { mustAnswer } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import { attemptState, endOfAttempt, isFinished, isOpen } from '../quiz/times/window';
import type { StudentWindow } from '../quiz/times/windows';
import { questionsForStudent } from '../reveal/slip';
import { readingOf } from '../scoring/context';
import { markAnswer } from '../scoring/markAttempt';

/** What a student's page asks for, decided: pure functions of the paper, the attempt, what is asked and the clock. */

/** One answer on its way from a page: null where it is taken away. */
export interface Save {
  readonly questionId: string;
  readonly answer: Answer | null;
  /** The page that sends it, each time it is loaded another one; and the number of the save, which grows there. */
  readonly page: string;
  readonly number: number;
  /** How long ago it was made, by the clock of the device that could not send it sooner: ms; absent: just now. */
  readonly ago?: number;
}

/** The quiz as one student meets it: when it is open, how often it may be sat, and what was given on top of that. */
export interface Sitting {
  readonly window: StudentWindow;
  readonly granted: number;
}

/** Why something was not done: nothing of the attempt has changed. */
export type Refusal = 'closed' | 'handedIn' | 'locked' | 'missing' | 'passed' | 'unknown';
export type Decided =
  | { readonly ok: true; readonly attempt: Attempt }
  /** `attempt`: what is stored all the same, for the teacher to decide about. */
  | { readonly ok: false; readonly reason: Refusal; readonly attempt?: Attempt };

const refused = (reason: Refusal): Decided => ({ ok: false, reason });

/** True where a student who has made these attempts may begin another one: at an instant in ms since 1970. */
export const mayBegin = ({ window, granted }: Sitting, made: readonly Attempt[], now: number): boolean =>
  isOpen(window, now) &&
  made.every((attempt) => isFinished(attemptState(attempt, window, now))) &&
  (window.attempts === null || made.length < window.attempts + granted);

/**
 * What *Begin* does for a student who has made these attempts, the first one first: goes on with the one that is not
 * handed in, begins one with the next number, or nothing, where the quiz is not open or no attempt is left.
 */
export function begin(
  quiz: Sitting,
  made: readonly Attempt[],
  now: number,
): { readonly goOn: Attempt } | { readonly number: number } | null {
  const last = made.at(-1);
  if (last && attemptState(last, quiz.window, now) === 'working') return { goOn: last };
  return mayBegin(quiz, made, now) ? { number: (last?.number ?? 0) + 1 } : null;
}

/** What an attempt is when it begins, at an instant in ms since 1970, with so many minutes. */
export const begun = (
  what: Pick<Attempt, 'id' | 'quizId' | 'studentId' | 'number' | 'revision' | 'seed' | 'seq'>,
  at: number,
  timeLimit: number | null = null,
): Attempt => ({
  ...what,
  ...(timeLimit === null ? {} : { limit: timeLimit }),
  openedAt: at,
  savedAt: at,
  handedInAt: null,
  timeKnown: true,
  source: 'sat',
  answers: {},
  hints: {},
  saves: {},
});

/** Whether the attempt can still be worked at. */
function unfinished(attempt: Attempt, window: StudentWindow, now: number): Refusal | null {
  if (attempt.handedInAt !== null) return 'handedIn';
  if (!isOpen(window, now)) return 'closed';
  const end = endOfAttempt(attempt, window);
  if (end !== null && now >= end) return 'closed';
  return lockedSince(attempt, window, now) === null ? null : 'locked';
}

/** The attempt with what was worked at it since the last sign of life: a longer silence than two minutes is no work. */
function alive(attempt: Attempt, now: number): Attempt {
  const since = now - lastSign(attempt);
  return since > 0 && since <= MOST_SILENCE ? { ...attempt, worked: (attempt.worked ?? 0) + since } : attempt;
}

/** The attempt with a sign of life from its page. */
export function giveSign(_: Paper, attempt: Attempt, window: StudentWindow, now: number): Decided {
  const reason = unfinished(attempt, window, now);
  if (reason) return refused(reason);
  const isNews = now - lastSign(attempt) >= OFTEN_ENOUGH;
  return { ok: true, attempt: isNews ? { ...alive(attempt, now), seenAt: now } : attempt };
}

/** The page on which a question stands for the student of an attempt, from 0; none for a question that is not there. */
function pageOf(paper: Paper, attempt: Attempt, questionId: string): number | null {
  const at = questionsForStudent(paper, attempt).findIndex(({ id }) => id === questionId);
  let last = -1;
  const page = pageSizes(paper).findIndex((size) => {
    last += size;
    return at <= last;
  });
  return at < 0 || page < 0 ? null : page;
}

/** Whether a question stands on a page that was left, where nobody goes back. */
const isPassed = (paper: Paper, attempt: Attempt, window: StudentWindow, questionId: string): boolean =>
  !window.goingBack &&
  attempt.reached !== undefined &&
  (pageOf(paper, attempt, questionId) ?? attempt.reached) < attempt.reached;

/** Whether a question stands on a page that was not reached yet, where pages come one after the other. */
const isAhead = (paper: Paper, attempt: Attempt, window: StudentWindow, questionId: string): boolean =>
  !window.goingBack && (pageOf(paper, attempt, questionId) ?? 0) > (attempt.reached ?? 0);

/**
 * The attempt with a page turned to, from 0; behind the last one is the page before handing in. Turned to again, or to one
 * before the furthest, it stays as it is.
 */
export function turnTo(
  paper: Paper,
  attempt: Attempt,
  window: StudentWindow,
  page: number,
  now: number,
): Decided {
  const reason = unfinished(attempt, window, now);
  if (reason) return refused(reason);
  if (page > pageSizes(paper).length) return refused('unknown');
  const isThere = page <= (attempt.reached ?? 0);
  return { ok: true, attempt: isThere ? attempt : { ...alive(attempt, now), seenAt: now, reached: page } };
}

/** True for an answer that a student's page can give to a question; files may bring others. */
const isGiven = (question: Question, answer: Answer): boolean => answer.kind === question.kind;

/** So many pages' saves of a question are told apart: more than a student has open, or a network holds back. */
const PAGES_KNOWN = 8;

/** The saves of a question with one more; those of the page that has been silent longest are forgotten. */
function withSave(saves: Readonly<Record<string, number>>, { page, number }: Save): Record<string, number> {
  const { [page]: _, ...others } = saves;
  return Object.fromEntries([...Object.entries(others), [page, number] as const].slice(-PAGES_KNOWN));
}

/** An answer on its way to a question of the paper, with the saves of that question so far; or why there is no place for it. */
function placeFor(paper: Paper, attempt: Attempt, window: StudentWindow, { questionId, answer }: Save) {
  const question = paper.questions.find(({ id }) => id === questionId);
  if (!question || (answer && !isGiven(question, answer))) return 'unknown';
  return isPassed(paper, attempt, window, questionId)
    ? 'passed'
    : { known: valueAt(attempt.saves, questionId) ?? {} };
}

/**
 * What becomes of an answer that comes after the end. One that was made before it, by a device that could not send it, is
 * put aside for the teacher; nothing of the work changes by it.
 */
function keepAside(paper: Paper, attempt: Attempt, window: StudentWindow, save: Save, now: number): Decided {
  const { questionId, answer, ago } = save;
  const madeAt = now - (ago ?? 0);
  const reason = ago === undefined ? 'closed' : unfinished(attempt, window, madeAt);
  if (attempt.source !== 'sat' || madeAt < attempt.openedAt || (reason !== null && reason !== 'locked'))
    return refused('closed');
  const place = placeFor(paper, attempt, window, save);
  if (typeof place === 'string') return refused(place);
  if (save.number <= (place.known[save.page] ?? 0)) return refused('closed');
  const { [questionId]: _, ...others } = attempt.cameAfter ?? {};
  const isNews = !same(answer, valueAt(attempt.answers, questionId) ?? null);
  const cameAfter = isNews ? { ...others, [questionId]: { answer, madeAt, cameAt: now } } : others;
  const saves = { ...attempt.saves, [questionId]: withSave(place.known, save) };
  return { ok: false, reason: 'closed', attempt: { ...attempt, cameAfter, saves } };
}

/**
 * The attempt with one answer, or without one where null: only to a question of its paper, while the quiz is open. A
 * save may come twice, or after a later one of the same page to the same question: then the attempt stays as it is.
 */
export function keep(
  paper: Paper,
  attempt: Attempt,
  window: StudentWindow,
  save: Save,
  now: number,
): Decided {
  const reason = unfinished(attempt, window, now);
  if (reason === 'closed') return keepAside(paper, attempt, window, save, now);
  if (reason) return refused(reason);
  const { questionId, answer } = save;
  const place = placeFor(paper, attempt, window, save);
  if (typeof place === 'string') return refused(place);
  if (save.number <= (place.known[save.page] ?? 0)) return { ok: true, attempt };
  const { [questionId]: _, ...rest } = attempt.answers;
  const answers = answer ? { ...rest, [questionId]: answer } : rest;
  const saves = { ...attempt.saves, [questionId]: withSave(place.known, save) };
  return { ok: true, attempt: { ...alive(attempt, now), answers, saves, savedAt: now } };
}

/** A hint that a student asks for. */
export interface AskedHint {
  readonly questionId: string;
  readonly hintId: string;
}

/**
 * The attempt with one more hint shown, for good: the next one of its question, while the quiz is open. Asked for again,
 * one that was shown changes nothing.
 */
export function showHint(
  paper: Paper,
  attempt: Attempt,
  window: StudentWindow,
  { questionId, hintId }: AskedHint,
  now: number,
): Decided {
  const reason = unfinished(attempt, window, now);
  if (reason) return refused(reason);
  const shown = valueAt(attempt.hints, questionId) ?? [];
  if (shown.includes(hintId)) return { ok: true, attempt };
  if (isPassed(paper, attempt, window, questionId)) return refused('passed');
  if (isAhead(paper, attempt, window, questionId)) return refused('unknown');
  const question = paper.questions.find(({ id }) => id === questionId);
  const next = question?.hints.find(({ id, text }) => !isEmptyProse(text) && !shown.includes(id));
  if (!next || next.id !== hintId) return refused('unknown');
  return {
    ok: true,
    attempt: {
      ...alive(attempt, now),
      hints: { ...attempt.hints, [questionId]: [...shown, hintId] },
      savedAt: now,
    },
  };
}

/** Whether an answer is there as far as it must be. One of spaces or punctuation alone is none. */
function isAnswered(question: Question, answer: Answer | null, must: MustAnswer, paper: Paper): boolean {
  if (must === 'no') return true;
  if (must === 'every') {
    const face = kindOf(question).faceOf(question, 0);
    if (progressOfAnswer(face, answer) !== 'all') return false;
  }
  // Whether it is blank depends on no word of any list: a student's page waits for none.
  return markAnswer(question, answer, readingOf(question, paper.content)).state !== 'blank';
}

/** Whether a question is left open that must be answered. */
const isMissingOne = (paper: Paper, { answers }: Attempt): boolean =>
  paper.questions.some(
    (question) =>
      !isAnswered(question, valueAt(answers, question.id) ?? null, mustAnswer(question, paper), paper),
  );

/** The attempt handed in, once and for all: asked again, it stays as it is. */
export function handIn(paper: Paper, attempt: Attempt, window: StudentWindow, now: number): Decided {
  if (attempt.handedInAt !== null) return { ok: true, attempt };
  const reason = unfinished(attempt, window, now);
  if (reason) return refused(reason);
  if (isMissingOne(paper, attempt)) return refused('missing');
  return { ok: true, attempt: { ...alive(attempt, now), saves: {}, handedInAt: now } };
}
