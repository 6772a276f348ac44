import type { WorkEffect } from '@/core/checking/effect';
import { effectOfWork } from '@/core/checking/effect';
import { isEmptyProse } from '@/core/content/prose';
import { kindOf } from '@/core/kinds';
import { ASPECTS, type Aspect } from '@/core/quiz/plan';
import type { Student } from '@/core/quiz/school';
import { windowOfQuiz } from '@/core/quiz/window';
import type { OwnWindow } from '@/core/quiz/windows';
import { windowsOf } from '@/core/quiz/windowsOf';
import { lanesOf, type Lane } from '@/core/reveal/lanes';
import { leaksOf, type Leak, type Telling } from '@/core/reveal/leaks';
import { silenceOf, type Silence } from '@/core/reveal/silence';
import { Reveal } from '@/core/reveal/whatIsShown';
import { listClasses } from '@/store/class/classes';
import { draftPaper } from '@/store/quiz/quizzes';
import { now } from '@/store/records/clock';
import { liveClass, type ClassPapers } from './papers';
import { revealOf } from './reveal';

/** Students who sit and see alike, by a name. Instants are ms since 1970. */
export interface PlanLane {
  readonly name: string;
  readonly students: number;
  readonly from: number | null;
  readonly until: number | null;
  /** When each aspect comes to somebody whose work is collected at the end; what nobody knows is not in it. */
  readonly marks: readonly { readonly aspect: Aspect; readonly at: number }[];
}

/** What one lane can tell another, or itself, by the places of the lanes. */
export interface PlanLeak {
  readonly kind: Leak['kind'];
  readonly tellers: number;
  readonly hearers: number;
  readonly aspects: readonly Telling[];
  readonly from: number;
  readonly until: number | null;
}

/** The plan as the class meets it. */
export interface PlanView {
  readonly lanes: readonly PlanLane[];
  readonly leaks: readonly PlanLeak[];
  readonly silence: Silence;
  /** Aspects that will say nothing, as nothing of theirs is written. */
  readonly empty: readonly ('feedback' | 'explanations')[];
  /** Students of two groups, or classes, that say different things. */
  readonly torn: readonly string[];
  /** When all this was. */
  readonly now: number;
}

const sameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean =>
  a.size === b.size && [...a].every((one) => b.has(one));

/** What students are called together: a class, a group of one, the rest of one, or by their own names. */
function namer(live: ClassPapers, reveal: Reveal, classNames: ReadonlyMap<string, string>) {
  const listed = reveal.listed().map(({ seat }) => seat);
  const sets = new Map<string, Set<string>>();
  const put = (name: string, id: string) => sets.set(name, (sets.get(name) ?? new Set()).add(id));
  for (const seat of listed) {
    put('Everyone', seat.studentId);
    for (const id of seat.classes) put(classNames.get(id) ?? '', seat.studentId);
    for (const { classId, group } of seat.groups)
      put(`${classNames.get(classId) ?? ''} ${group}`, seat.studentId);
  }
  return (lane: Lane): string => {
    const ids = new Set(lane.seats.map(({ seat }) => seat.studentId));
    const named = (student: Student | undefined) => student?.name ?? '';
    if (ids.size === 1) return named(live.students.get([...ids][0] ?? ''));
    const own = [...sets].filter(([, all]) => sameSet(all, ids)).at(-1);
    if (own) return own[0];
    const around = [...sets].filter(([, all]) => [...ids].every((id) => all.has(id))).at(-1);
    if (around && ids.size > 3) return `Others of ${around[0]}`;
    return [...ids].map((id) => named(live.students.get(id))).join(', ');
  };
}

/** When each aspect comes to a student of a lane who begins when it opens and lets the end collect the work. */
function marksOf(lane: Lane, reveal: Reveal): PlanLane['marks'] {
  const [own] = lane.seats;
  if (!own || lane.from === null) return [];
  const begun = {
    id: 'begun', number: 1, begunAt: lane.from, limit: own.seat.window.timeLimit, reopened: null, handedInAt: null,
    timeKnown: true, voided: false, takenInAt: null, marked: 'atHandIn',
  } as const; // prettier-ignore
  const { scene } = reveal;
  const seats = scene.seats.map((seat) => (seat === own.seat ? { ...seat, attempts: [begun] } : seat));
  const at = Math.max(reveal.now, lane.from);
  const then = new Reveal({ ...scene, seats, unfinished: 'taken', completePapers: Infinity }, at);
  return ASPECTS.flatMap((aspect) => {
    const showing = then.showing(own.seat.studentId, 'begun', aspect);
    if (showing.state === 'shown') return [{ aspect, at: showing.since }];
    return showing.state === 'waits' && showing.until !== null ? [{ aspect, at: showing.until }] : [];
  });
}

/** Leaks from one lane to another are one, of several aspects. */
function together(leaks: readonly Leak[], lanes: readonly Lane[]): PlanLeak[] {
  const found = new Map<string, PlanLeak>();
  for (const { kind, aspect, from, until, ...between } of leaks) {
    const [tellers, hearers] = [lanes.indexOf(between.tellers), lanes.indexOf(between.hearers)];
    const key = `${kind} ${tellers} ${hearers}`;
    const known = found.get(key);
    found.set(key, {
      kind,
      tellers,
      hearers,
      aspects: [...(known?.aspects ?? []), aspect],
      from: Math.min(from, known?.from ?? from),
      until,
    });
  }
  return [...found.values()];
}

/** The plan as it is written now, as the class meets it: lanes, what leaks, and what nobody hears. */
export async function planView(quizId: string): Promise<PlanView> {
  const [live, classes, paper] = await Promise.all([liveClass(quizId), listClasses(), draftPaper(quizId)]);
  const at = now();
  const reveal = revealOf(live, at);
  const lanes = lanesOf(reveal);
  const leaks = leaksOf(reveal, lanes);
  const nameOf = namer(live, reveal, new Map(classes.map(({ id, name }) => [id, name])));
  const says = paper.questions.filter((question) => kindOf(question).asks);
  const isSilent = says.every(({ right, partly, wrong }) =>
    [right, partly, wrong].every((one) => isEmptyProse(one.text) && one.links.length === 0),
  );
  const unexplained = says.every(({ explanation }) => isEmptyProse(explanation));
  return {
    lanes: lanes.map((lane) => ({
      name: nameOf(lane),
      students: lane.seats.length,
      from: lane.from,
      until: lane.until,
      marks: marksOf(lane, reveal),
    })),
    leaks: together(leaks, lanes),
    silence: silenceOf(reveal),
    empty: [
      ...(isSilent ? (['feedback'] as const) : []),
      ...(unexplained ? (['explanations'] as const) : []),
    ],
    torn: reveal
      .listed()
      .filter(({ seat }) => seat.window.torn.length > 0)
      .map(({ seat }) => live.students.get(seat.studentId)?.name ?? ''),
    now: at,
  };
}

/** What other windows for classes, groups and students would do to the scores that are recorded now. */
export async function windowsEffect(quizId: string, windows: readonly OwnWindow[]): Promise<WorkEffect> {
  const { marked, quiz, people, members } = await liveClass(quizId);
  const { opening, pauses } = quiz.standing;
  const windowOf = windowsOf(
    windowOfQuiz(opening, quiz.content),
    { windows: [...windows], pauses },
    people,
    members,
  );
  return effectOfWork(marked, { ...marked.work, windowOf });
}
