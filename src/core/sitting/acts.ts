import { valueAt } from '../figures/valueAt';
import { countCameAfter, type Attempt, type Ruling } from '../quiz/work/attempt';
import { lockedSince } from '../quiz/times/lock';
import { noRuling } from '../quiz/work/noRuling';
import type { QuizStanding } from '../quiz/quiz';
import { minutesLeftAt } from '../quiz/times/attemptEnd';
import { attemptState, finishedAt, isFinished, timedOf } from '../quiz/times/window';
import type { OwnWindow, StudentWindow } from '../quiz/times/windows';

/**
 * What the teacher does for one student while a quiz is sat, or after it: pure functions of what is stored and the clock.
 * Instants are ms since 1970.
 */
export type SittingAct =
  /** So many minutes more on the clock. */
  | { readonly act: 'moreMinutes'; readonly minutes: number }
  /** Due and open until then. */
  | { readonly act: 'later'; readonly until: number }
  /** One more attempt; `until`: open for them until then, null: as long as their window is. */
  | { readonly act: 'oneMore'; readonly until: number | null }
  /** The last attempt does not count, and another one is given. */
  | { readonly act: 'startAgain'; readonly until: number | null }
  /** The last attempt goes on with its answers: with the time that was left and so many minutes. */
  | { readonly act: 'giveBack'; readonly minutes: number; readonly until: number | null }
  /** What was locked, as its page was left, goes on. */
  | { readonly act: 'letGoOn' }
  /** What is being worked at is handed in as it is. */
  | { readonly act: 'collect' }
  /** Answers that came after the end count as if they had come in time. */
  | { readonly act: 'addLate' }
  /** They are left out, and nobody is asked about them any more. */
  | { readonly act: 'dropLate' };

/** Where a student stands: the first attempt first. */
export interface Situation {
  readonly studentId: string;
  readonly window: StudentWindow;
  readonly made: readonly Attempt[];
  /** The ruling over the last attempt. */
  readonly ruling: Ruling | undefined;
  readonly now: number;
}

type Acts = Pick<QuizStanding, 'windows' | 'granted'>;

/** Why an act cannot be done as things stand. */
export type ActProblem =
  | 'nothingRuns'
  | 'nothingCame'
  | 'notLocked'
  | 'noLimit'
  | 'nothingDone'
  | 'notOnScreen'
  | 'stillRuns'
  | 'closed'
  | 'past'
  | 'noTimeLeft';

/** What an act writes: null where it leaves something as it is. */
export interface Acted {
  readonly acts: Acts;
  readonly attempt: { readonly before: Attempt; readonly after: Attempt } | null;
  readonly ruling: Ruling | null;
}
export type Outcome = ({ readonly ok: true } & Acted) | { readonly ok: false; readonly problem: ActProblem };

const no = (problem: ActProblem): Outcome => ({ ok: false, problem });

/** Some fields of a student's own window set, the others as they are. */
function withOwn(acts: Acts, studentId: string, set: OwnWindow['set']): Acts {
  const target = { kind: 'student', studentId } as const;
  const isTheirs = ({ for: whose }: OwnWindow) => whose.kind === 'student' && whose.studentId === studentId;
  const known = acts.windows.find(isTheirs);
  const own: OwnWindow = known
    ? { ...known, set: { ...known.set, ...set } }
    : { id: `of-${studentId}`, for: target, set };
  return { ...acts, windows: [...acts.windows.filter((one) => !isTheirs(one)), own] };
}

/** Open and due until an instant: where nothing was ever due, nothing is. */
const untilThen = ({ due }: StudentWindow, until: number): OwnWindow['set'] => ({
  until,
  ...(due === null ? {} : { due: Math.max(due, until) }),
});

const oneMore = (acts: Acts, studentId: string): Acts => ({
  ...acts,
  granted: { ...acts.granted, [studentId]: Math.min(50, (valueAt(acts.granted, studentId) ?? 0) + 1) },
});

/** The ruling over an attempt that is worked at again: what was marked in it is not any more; null where that was not kept. */
function notMarked(ruling: Ruling | undefined): Ruling | null {
  if (ruling?.markedAt === undefined) return null;
  const { markedAt: _, ...rest } = ruling;
  return rest;
}

/** The minutes that were left of an attempt's time when it ended; null without a limit. */
export const minutesLeft = (attempt: Attempt, window: StudentWindow): number | null =>
  minutesLeftAt(timedOf(attempt), window, finishedAt(attempt, window));

function moreMinutes(acts: Acts, here: Situation, last: Attempt | undefined, minutes: number): Outcome {
  const { studentId, window } = here;
  if (last?.reopened && !isFinished(attemptState(last, window, here.now))) {
    if (last.reopened.minutes === null) return no('noLimit');
    const after = { ...last, reopened: { ...last.reopened, minutes: last.reopened.minutes + minutes } };
    return { ok: true, acts, attempt: { before: last, after }, ruling: null };
  }
  if (window.timeLimit === null) return no('noLimit');
  const limit = Math.max(window.timeLimit, last?.limit ?? 0) + minutes;
  return { ok: true, acts: withOwn(acts, studentId, { timeLimit: limit }), attempt: null, ruling: null };
}

/** The latest attempt that is over and to which answers came after its end. */
export const withLate = ({ made, window, now }: Pick<Situation, 'made' | 'window' | 'now'>) =>
  made.findLast((one) => countCameAfter(one) > 0 && isFinished(attemptState(one, window, now)));

/** An attempt with the answers that came after its end, or without them. */
function settledLate({ cameAfter = {}, ...rest }: Attempt, act: 'addLate' | 'dropLate'): Attempt {
  if (act === 'dropLate') return rest;
  const answers = new Map(Object.entries(rest.answers));
  for (const [id, { answer }] of Object.entries(cameAfter)) {
    if (answer === null) answers.delete(id);
    else answers.set(id, answer);
  }
  return { ...rest, answers: Object.fromEntries(answers) };
}

/** An instant until which something is given: it has not passed, and where none is given the window is still open. */
function untilProblem({ window, now }: Situation, until: number | null): ActProblem | null {
  if (until !== null) return until <= now ? 'past' : null;
  return window.until !== null && window.until <= now ? 'closed' : null;
}

/** What an act of the teacher does for a student, or why it cannot be done. */
export function actFor(acts: Acts, here: Situation, act: SittingAct): Outcome {
  const { studentId, window, made, now } = here;
  const last = made.at(-1);
  const isRunning = last !== undefined && !isFinished(attemptState(last, window, now));
  const open = (until: number | null): Acts =>
    until === null ? acts : withOwn(acts, studentId, untilThen(window, until));
  switch (act.act) {
    case 'moreMinutes':
      return moreMinutes(acts, here, last, act.minutes);
    case 'later':
      if (act.until <= now) return no('past');
      return { ok: true, acts: open(act.until), attempt: null, ruling: null };
    case 'oneMore': {
      const problem = untilProblem(here, act.until);
      if (problem) return no(problem);
      return { ok: true, acts: oneMore(open(act.until), studentId), attempt: null, ruling: null };
    }
    case 'startAgain': {
      const problem = last ? untilProblem(here, act.until) : 'nothingDone';
      if (!last || problem) return no(problem ?? 'nothingDone');
      const ruling: Ruling = { ...(here.ruling ?? noRuling(last.quizId, last.id)), standing: 'voided' };
      const ended = { before: last, after: { ...last, saves: {}, handedInAt: now } };
      return {
        ok: true,
        acts: oneMore(open(act.until), studentId),
        attempt: isRunning ? ended : null,
        ruling,
      };
    }
    case 'giveBack': {
      if (!last) return no('nothingDone');
      if (isRunning) return no('stillRuns');
      if (last.source !== 'sat') return no('notOnScreen');
      const problem = untilProblem(here, act.until);
      if (problem) return no(problem);
      const left = minutesLeft(last, window);
      if (left !== null && left + act.minutes <= 0) return no('noTimeLeft');
      const reopened = { at: now, minutes: left === null ? null : left + act.minutes };
      const after = { ...last, handedInAt: null, reopened };
      return {
        ok: true,
        acts: open(act.until),
        attempt: { before: last, after },
        ruling: notMarked(here.ruling),
      };
    }
    case 'letGoOn':
      if (!last || !isRunning || lockedSince(last, window, now) === null) return no('notLocked');
      return { ok: true, acts, attempt: { before: last, after: { ...last, letOn: now } }, ruling: null };
    case 'addLate':
    case 'dropLate': {
      const before = withLate(here);
      if (!before) return no('nothingCame');
      const after = settledLate(before, act.act);
      // What was marked in it by hand may have to be marked again.
      const ruling = act.act === 'addLate' && before === last ? notMarked(here.ruling) : null;
      return { ok: true, acts, attempt: { before, after }, ruling };
    }
    case 'collect':
      if (!last || !isRunning) return no('nothingRuns');
      return {
        ok: true,
        acts,
        attempt: { before: last, after: { ...last, saves: {}, handedInAt: now } },
        ruling: null,
      };
  }
}
