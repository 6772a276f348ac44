import { MarkedClass } from '@/core/checking/classWork';
import { attemptState, endOfAttempt, isFinished, windowOfQuiz } from '@/core/quiz/times/window';
import { windowsOf } from '@/core/quiz/times/windowsOf';
import { conditionsHeld } from '@/core/reveal/kept';
import { leaksOf, type Telling } from '@/core/reveal/leaks';
import { sceneFor } from '@/core/reveal/scene';
import { Reveal } from '@/core/reveal/whatIsShown';
import type { RecordedTotal } from '@/core/scoring/joinAttempts';
import { actFor, type ActProblem, type Situation, type SittingAct } from '@/core/sitting/acts';
import type { QuizStanding } from '@/core/quiz/quiz';
import { now } from '@/device/clock';
import { liveClass, type ClassPapers } from './papers';
import { revealOf } from './reveal';

/** What something done for one student would come to, before it is done. */
export interface ActEffect {
  /** Why it cannot be done; null where it can. */
  readonly problem: ActProblem | null;
  /** The score that is recorded now, and then; null without one. */
  readonly before: RecordedTotal | null;
  readonly after: RecordedTotal | null;
  /** When what is being worked at then would end: ms since 1970; null where nothing runs or nothing ends it. */
  readonly endsAt: number | null;
}

/** What can be done for a student, with what each would come to, and what others could tell them while they sit. */
export interface ActEffects {
  readonly effects: readonly ActEffect[];
  /** What others have been shown or could be, of which the student could hear while they can hand in. */
  readonly told: readonly Telling[];
}

function situationOf(live: ClassPapers, studentId: string, at: number): Situation {
  const made = live.everyAttempt
    .filter((attempt) => attempt.studentId === studentId)
    .sort((a, b) => a.number - b.number);
  const last = made.at(-1);
  const ruling = last && live.marked.work.rulings.get(last.id);
  return { studentId, window: live.windowOf(studentId), made, ruling, now: at };
}

/** The class as it would be with other acts and other work of one student. */
type Then = Pick<ClassPapers, 'everyAttempt'> & {
  readonly standing: QuizStanding;
  readonly rulings: ClassPapers['marked']['work']['rulings'];
};

function thenOf(live: ClassPapers, here: Situation, act: SittingAct): Then | ActProblem {
  const { standing } = live.quiz;
  const outcome = actFor(standing, here, act);
  if (!outcome.ok) return outcome.problem;
  const rulings = new Map(live.marked.work.rulings);
  if (outcome.ruling) rulings.set(outcome.ruling.attemptId, outcome.ruling);
  const changed = outcome.attempt?.after;
  const everyAttempt = live.everyAttempt.map((one) => (changed && one.id === changed.id ? changed : one));
  return { standing: { ...standing, ...outcome.acts }, rulings, everyAttempt };
}

function effectOf(live: ClassPapers, here: Situation, act: SittingAct): ActEffect {
  const recorded = live.marked.students().find((one) => one.studentId === here.studentId)?.recorded ?? null;
  const then = thenOf(live, here, act);
  if (typeof then === 'string') return { problem: then, before: recorded, after: recorded, endsAt: null };
  const { quiz, people, members, marked } = live;
  const windowOf = windowsOf(
    windowOfQuiz(quiz.standing.opening, quiz.content),
    then.standing,
    people,
    members,
  );
  const attempts = then.everyAttempt.filter(({ studentId }) => studentId === here.studentId);
  const work = { ...marked.work, attempts, windowOf, rulings: then.rulings };
  const [own] = new MarkedClass(marked.paper, work, marked.columns).students();
  const window = windowOf(here.studentId);
  const running = attempts.find((one) => !isFinished(attemptState(one, window, here.now)));
  return {
    problem: null,
    before: recorded,
    after: own?.recorded ?? null,
    endsAt: running ? endOfAttempt(running, window) : null,
  };
}

/** What others could tell the student, were this done. */
function toldUnder(live: ClassPapers, here: Situation, act: SittingAct): Telling[] {
  const then = thenOf(live, here, act);
  if (typeof then === 'string') return [];
  const { quiz, people, members } = live;
  const scene = sceneFor({
    content: quiz.content,
    // What held for everyone stays held for those who can hand in no more: they are the ones who can tell.
    standing: {
      ...then.standing,
      kept: [...then.standing.kept, ...conditionsHeld(revealOf(live, here.now))],
    },
    people,
    members,
    attempts: then.everyAttempt,
    rulings: then.rulings,
  });
  const isHere = ({ seat }: { readonly seat: { readonly studentId: string } }) =>
    seat.studentId === here.studentId;
  const heard = leaksOf(new Reveal(scene, here.now)).filter(
    ({ hearers, tellers, kind }) =>
      hearers.seats.some(isHere) && (kind === 'self' || tellers.seats.some((one) => !isHere(one))),
  );
  return [...new Set(heard.map(({ aspect }) => aspect))];
}

/** What each of several acts for a student would come to. `longest`: the one of them that lets the student sit longest. */
export async function actEffects(
  quizId: string,
  studentId: string,
  acts: readonly SittingAct[],
  longest: SittingAct,
): Promise<ActEffects> {
  const live = await liveClass(quizId);
  const here = situationOf(live, studentId, now());
  return {
    effects: acts.map((act) => effectOf(live, here, act)),
    told: toldUnder(live, here, longest),
  };
}
