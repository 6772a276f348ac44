import { isOver } from '../quiz/window';
import type { QuizContent, QuizStanding } from '../quiz/quiz';
import { ASPECTS, type Aspect, type Condition } from './plan';

/** Whether an aspect is shown to a student now, since when, or what it waits for and until when if known. */
type Showing =
  | { readonly shown: true; readonly since: number }
  | { readonly shown: false; readonly waitsFor: Condition | 'never'; readonly until: number | null };

export type WhatIsShown = Readonly<Record<Aspect, Showing>>;

/** What of a quiz decides over what is shown. */
interface Planned {
  readonly plan: QuizContent['plan'];
  readonly standing: QuizStanding;
}

/**
 * Decides what one student sees. `finishedAt`: the instant at which the student's attempt was handed in or
 * ended with the window, null while there is none. Nothing is shown to a student without a finished attempt.
 * No other code decides this.
 */
export function whatIsShown(quiz: Planned, finishedAt: number | null, now: number): WhatIsShown {
  const showing = (aspect: Aspect): Showing => {
    const condition = quiz.plan[aspect];
    if (condition === 'never') return { shown: false, waitsFor: 'never', until: null };
    if (finishedAt === null) return { shown: false, waitsFor: 'handedIn', until: null };
    if (condition === 'handedIn') return { shown: true, since: finishedAt };
    if (condition === 'closed') return afterClosing(quiz.standing, finishedAt, now);
    const pressed = quiz.standing.shown[aspect];
    return pressed !== undefined && pressed <= now
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
