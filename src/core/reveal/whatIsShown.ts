import { isOver } from '../quiz/window';
import type { QuizContent, QuizStanding } from '../quiz/quiz';
import { ASPECTS, type Aspect, type Condition } from '../quiz/plan';

/** Whether an aspect is shown to a student now, since when, or what it waits for and until when if known. */
type Showing =
  | { readonly shown: true; readonly since: number }
  | { readonly shown: false; readonly waitsFor: Condition | 'never'; readonly until: number | null };

export type WhatIsShown = Readonly<Record<Aspect, Showing>>;

/** The parts of a quiz that decide what is shown. */
interface Planned {
  readonly plan: QuizContent['plan'];
  readonly standing: QuizStanding;
}

/** Whose result it is, and when the attempt was handed in or ended with the window; null while there is none. */
interface FinishedWork {
  readonly studentId: string;
  readonly finishedAt: number | null;
}

/** Since when the teacher has shown an aspect to this student: to everyone, or to this one; null where not. */
function pressedAt({ standing }: Planned, aspect: Aspect, studentId: string, now: number): number | null {
  const pressed = [standing.shown[aspect], standing.shownTo[studentId]].filter(
    (at): at is number => at !== undefined && at <= now,
  );
  return pressed.length > 0 ? Math.min(...pressed) : null;
}

/**
 * Decides what one student sees of one attempt. Nothing is shown to a student without a finished attempt.
 * No other code decides this.
 */
export function whatIsShown(
  quiz: Planned,
  { studentId, finishedAt }: FinishedWork,
  now: number,
): WhatIsShown {
  const showing = (aspect: Aspect): Showing => {
    const condition = quiz.plan[aspect];
    if (condition === 'never') return { shown: false, waitsFor: 'never', until: null };
    if (finishedAt === null) return { shown: false, waitsFor: 'handedIn', until: null };
    if (condition === 'handedIn') return { shown: true, since: finishedAt };
    if (condition === 'closed') return afterClosing(quiz.standing, finishedAt, now);
    const pressed = pressedAt(quiz, aspect, studentId, now);
    return pressed !== null
      ? { shown: true, since: Math.max(pressed, finishedAt) }
      : { shown: false, waitsFor: 'byTeacher', until: null };
  };
  return Object.fromEntries(ASPECTS.map((aspect) => [aspect, showing(aspect)])) as WhatIsShown;
}

function afterClosing({ opening }: QuizStanding, finishedAt: number, now: number): Showing {
  const until = opening?.until ?? null;
  if (!isOver(opening, now) || until === null) return { shown: false, waitsFor: 'closed', until };
  return { shown: true, since: Math.max(until, finishedAt) };
}

/**
 * What stands on a slip that the teacher prints: everything, with or without the right answers. Printing is the
 * teacher's own act, and no plan holds it back.
 */
export function whatIsPrinted(finishedAt: number, rightAnswers: 'with' | 'without'): WhatIsShown {
  const showing = (aspect: Aspect): Showing =>
    aspect === 'rightAnswers' && rightAnswers === 'without'
      ? { shown: false, waitsFor: 'never', until: null }
      : { shown: true, since: finishedAt };
  return Object.fromEntries(ASPECTS.map((aspect) => [aspect, showing(aspect)])) as WhatIsShown;
}
