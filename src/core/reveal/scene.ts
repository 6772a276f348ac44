import { valueAt } from '../figures/valueAt';
import type { Attempt, Ruling } from '../quiz/work/attempt';
import type { QuizContent, QuizStanding } from '../quiz/quiz';
import { studentsSet, type Member, type Person } from '../quiz/people/school';
import { timedOf, windowOfQuiz } from '../quiz/times/window';
import { belongings, windowsOf } from '../quiz/times/windowsOf';
import type { Seat, SeatAttempt } from './seat';
import type { Scene } from './whatIsShown';

/** What is stored of a quiz and of those who sit it, as far as it decides what is shown. */
export interface Stored {
  readonly content: Pick<
    QuizContent,
    'plan' | 'zone' | 'unfinished' | 'missing' | 'attempts' | 'timeLimit' | 'goingBack' | 'comingBack'
  >;
  readonly standing: QuizStanding;
  readonly people: readonly Person[];
  readonly members: readonly Member[];
  readonly attempts: readonly Attempt[];
  readonly rulings: ReadonlyMap<string, Ruling>;
  /** When nothing in an attempt waited any more: see `SeatAttempt`. At the hand-in where nobody says. */
  readonly markedAt?: (attempt: Attempt) => SeatAttempt['marked'];
  /** None where nobody asks how the class did. */
  readonly completePapers?: number;
  /** Who looks, with or without work. */
  readonly visitor?: string;
}

/** Of thousands of attempts few are asked when they were marked: that is worked out where it is asked. */
const seatAttempt = (
  attempt: Attempt,
  ruling: Ruling | undefined,
  markedAt: NonNullable<Stored['markedAt']>,
): SeatAttempt => ({
  ...timedOf(attempt),
  id: attempt.id,
  number: attempt.number,
  // What came from a file was never begun on screen.
  begunAt:
    attempt.source === 'sat'
      ? attempt.openedAt
      : Math.min(attempt.openedAt, attempt.handedInAt ?? attempt.openedAt),
  handedInAt: attempt.handedInAt,
  timeKnown: attempt.timeKnown,
  voided: ruling?.standing === 'voided',
  takenInAt: ruling?.standing === 'takenIn' ? (ruling.takenInAt ?? 0) : null,
  get marked() {
    return ruling?.markedAt ?? markedAt(attempt);
  },
});

/** A quiz as it is stored, as what decides what is shown: everyone whom it is set to, and whoever else has work here. */
export function sceneFor(stored: Stored): Scene {
  const { content, standing, people, members, attempts, rulings, markedAt = () => 'atHandIn' } = stored;
  const set = new Map(studentsSet(standing.setTo, people, members).map((one) => [one.id, one]));
  const windowOf = windowsOf(windowOfQuiz(standing.opening, content), standing, people, members);
  const own = new Map<string, Attempt[]>();
  for (const attempt of attempts) {
    const known = own.get(attempt.studentId);
    if (known) known.push(attempt);
    else own.set(attempt.studentId, [attempt]);
  }
  const meantClasses = new Set(standing.setTo.map(({ classId }) => classId));
  const belonging = belongings(members);
  const visitor = stored.visitor === undefined ? [] : [stored.visitor];
  const ids = [...new Set([...set.keys(), ...own.keys(), ...visitor])];
  const seats = ids.map((studentId): Seat => {
    const student = set.get(studentId);
    const who = belonging.get(studentId);
    return {
      studentId,
      classes: (who?.classes ?? []).filter((id) => meantClasses.has(id)),
      groups: (who?.groups ?? []).filter(({ classId }) => meantClasses.has(classId)),
      window: windowOf(studentId),
      granted: valueAt(standing.granted, studentId) ?? 0,
      takenOffAt: student?.removedAt ?? null,
      meant: student !== undefined,
      attempts: (own.get(studentId) ?? [])
        .sort((a, b) => a.number - b.number)
        .map((attempt) => seatAttempt(attempt, rulings.get(attempt.id), markedAt)),
    };
  });
  return {
    zone: content.zone,
    plan: content.plan,
    ownPlans: standing.plans,
    ownWindows: standing.windows,
    acts: standing.acts,
    kept: standing.kept,
    unfinished: content.unfinished,
    missing: content.missing,
    seats,
    completePapers: stored.completePapers ?? 0,
  };
}
