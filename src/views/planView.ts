import type { WorkEffect } from '@/core/checking/effect';
import { effectOfWork } from '@/core/checking/effect';
import { saysAnything } from '@/core/content/silence';
import { isEmptyProse } from '@/core/content/prose';
import { kindOf, type Question } from '@/core/kinds';
import { inZone } from '@/core/quiz/times/inZone';
import { isKnown, type KnownLeak } from '@/core/quiz/plan/knownLeak';
import { ASPECTS, NEEDS, type Aspect } from '@/core/quiz/plan/plan';
import type { Student } from '@/core/quiz/people/school';
import { isMeantBy, type TargetOrAll } from '@/core/quiz/people/target';
import { windowOfQuiz } from '@/core/quiz/times/window';
import type { OwnWindow } from '@/core/quiz/times/windows';
import { windowsOf } from '@/core/quiz/times/windowsOf';
import { lanesOf, type Lane } from '@/core/reveal/lanes';
import { givesKeyAway, leaksOf, TELLING, type Leak, type Telling } from '@/core/reveal/leaks';
import { planEffect, type PlanEffect } from '@/core/reveal/planEffect';
import { silenceOf, type Silence } from '@/core/reveal/silence';
import { delayedAt, Reveal } from '@/core/reveal/whatIsShown';
import { listClasses } from '@/store/class/classes';
import { draftPaper } from '@/store/quiz/quizzes';
import type { Plans } from '@/store/quiz/standing';
import { now } from '@/device/clock';
import { liveClass, type ClassPapers } from './papers';
import { revealOf } from './reveal';

/** When an aspect comes to students of a lane, and what moves that instant. */
export interface PlanMark {
  readonly aspect: Aspect;
  readonly at: number;
  /** Whether it follows a date of the plan, or a delay after something; null: neither alone. */
  readonly follows: 'date' | 'delay' | null;
  /** The soonest that it can be moved to. */
  readonly soonest: number;
}

/** Students who sit and see alike, by a name. Instants are ms since 1970. */
export interface PlanLane {
  readonly name: string;
  readonly students: number;
  readonly from: number | null;
  readonly until: number | null;
  /** Whose times these are: what is set for them moves the lane. */
  readonly target: TargetOrAll;
  /** When each aspect comes to somebody whose work is collected at the end; what nobody knows is not in it. */
  readonly marks: readonly PlanMark[];
}

/** What one lane can be told by others, and by its own early students, or tells itself; by the places of the lanes. */
export interface PlanLeak {
  readonly kind: Leak['kind'];
  readonly tellers: readonly number[];
  readonly hearers: number;
  readonly aspects: readonly Telling[];
  readonly from: number;
  readonly until: number | null;
  /** How many can hear it and still hand in. */
  readonly hearing: number;
  /** The same as it is kept once the teacher knows of it: between each two of them. */
  readonly as: readonly KnownLeak[];
}

/** The plan as the class meets it. */
export interface PlanView {
  readonly lanes: readonly PlanLane[];
  /** What gives the key away, and all else where the teacher is strict, without what the teacher knows of. */
  readonly leaks: readonly PlanLeak[];
  /** What can be passed on and is no alarm: what was right, feedback, the questions. Empty where the teacher is strict. */
  readonly hints: readonly PlanLeak[];
  /** How many more there are that the teacher knows of. */
  readonly known: number;
  readonly silence: Silence;
  /** Questions of which nothing is written that students could read, by their numbers; `of`: how many there are. */
  readonly unwritten: {
    readonly feedback: readonly number[];
    readonly explanations: readonly number[];
    readonly of: number;
  };
  /** Students of two groups, or classes, that say different things. */
  readonly torn: readonly string[];
  /** When all this was. */
  readonly now: number;
}

const sameSet = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean =>
  a.size === b.size && [...a].every((one) => b.has(one));

interface Called {
  readonly name: string;
  readonly target: TargetOrAll;
}

/** Whose times students have who are no class or group of their own: those of the nearest that says anything. */
function nearestTarget({ seats: [own] }: Lane, windows: readonly OwnWindow[]): TargetOrAll {
  if (!own) return { kind: 'all' };
  const { from, until } = own.seat.window.sources;
  const kind =
    [from, until].find((source) => source === 'group') ?? [from, until].find((one) => one === 'class');
  const meant = windows.find((one) => one.for.kind === kind && isMeantBy(one.for, own.seat));
  return meant?.for ?? { kind: 'all' };
}

/** What students are called together, and whose times are theirs: a class, a group of one, the rest of one, or by their own names. */
function namer(live: ClassPapers, reveal: Reveal, classNames: ReadonlyMap<string, string>) {
  const listed = reveal.listed().map(({ seat }) => seat);
  const sets = new Map<string, { ids: Set<string>; target: TargetOrAll }>();
  const put = (name: string, target: TargetOrAll, id: string) => {
    const known = sets.get(name);
    if (known) known.ids.add(id);
    else sets.set(name, { ids: new Set([id]), target });
  };
  for (const seat of listed) {
    put('Everyone', { kind: 'all' }, seat.studentId);
    for (const classId of seat.classes)
      put(classNames.get(classId) ?? '', { kind: 'class', classId }, seat.studentId);
    for (const { classId, group } of seat.groups)
      put(`${classNames.get(classId) ?? ''} ${group}`, { kind: 'group', classId, group }, seat.studentId);
  }
  const everyone = sets.get('Everyone')?.ids ?? new Set();
  return (lane: Lane): Called => {
    const ids = new Set(lane.seats.map(({ seat }) => seat.studentId));
    const named = (student: Student | undefined) => student?.name ?? '';
    const [only] = ids;
    if (ids.size === 1 && only !== undefined)
      return { name: named(live.students.get(only)), target: { kind: 'student', studentId: only } };
    const own = [...sets].filter(([, all]) => sameSet(all.ids, ids)).at(-1);
    // Where all sit together, it is the quiz's own times that are theirs, unless they have others.
    const isAll = sameSet(everyone, ids);
    const nearest = nearestTarget(lane, reveal.scene.ownWindows);
    if (own) return { name: own[0], target: isAll ? nearest : own[1].target };
    const around = [...sets].filter(([, all]) => [...ids].every((id) => all.ids.has(id))).at(-1);
    if (around && ids.size > 3) return { name: `Others of ${around[0]}`, target: nearest };
    return { name: [...ids].map((id) => named(live.students.get(id))).join(', '), target: nearest };
  };
}

/** When an aspect comes by one condition alone, without its delay; and what moves it. */
function moving(aspect: Aspect, at: number, lane: Lane, comes: ReadonlyMap<Aspect, number>, zone: string) {
  const needed = NEEDS[aspect];
  const { when } = lane.plan[aspect];
  const [condition] = when;
  const fixed = { follows: null, soonest: at } as const;
  if (when === 'never' || when.length !== 1 || typeof condition !== 'object') return fixed;
  if (needed && (comes.get(needed) ?? Infinity) > at) return fixed;
  if (condition.when === 'date') return { follows: 'date', soonest: 0 } as const;
  if (condition.when === 'byTeacher') return fixed;
  const { delay } = condition;
  const soonest = delay ? delayedAt(at, { ...delay, amount: -delay.amount }, zone) : at;
  return { follows: 'delay', soonest } as const;
}

/** When each aspect comes to a student of a lane who begins when it opens and lets the end collect the work. */
function marksOf(lane: Lane, reveal: Reveal): PlanMark[] {
  const [own] = lane.seats;
  if (!own || lane.from === null) return [];
  const begun = {
    id: 'begun', number: 1, begunAt: lane.from, limit: own.seat.window.timeLimit, reopened: null, handedInAt: null,
    timeKnown: true, voided: false, takenInAt: null, marked: 'atHandIn',
  } as const; // prettier-ignore
  const { scene } = reveal;
  const seats = scene.seats.map((seat) => (seat === own.seat ? { ...seat, attempts: [begun] } : seat));
  const now = Math.max(reveal.now, lane.from);
  const then = new Reveal({ ...scene, seats, unfinished: 'taken', completePapers: Infinity }, now);
  const comes = new Map(
    ASPECTS.flatMap((aspect): [Aspect, number][] => {
      const showing = then.showing(own.seat.studentId, 'begun', aspect);
      if (showing.state === 'shown') return [[aspect, showing.since]];
      return showing.state === 'waits' && showing.until !== null ? [[aspect, showing.until]] : [];
    }),
  );
  return [...comes].map(([aspect, at]) => ({ aspect, at, ...moving(aspect, at, lane, comes, scene.zone) }));
}

const idsOf = ({ seats }: Lane): string[] => seats.map(({ seat }) => seat.studentId);

/** What goes from one lane to another, of several aspects: as it is kept once it is known. */
function between(leaks: readonly Leak[]): Map<Leak, KnownLeak> {
  const found = new Map<string, { first: Leak; as: KnownLeak }>();
  for (const leak of leaks) {
    const { kind, aspect, from, until } = leak;
    const [tellers, hearers] = [idsOf(leak.tellers), idsOf(leak.hearers)];
    const key = JSON.stringify([kind, tellers[0], hearers[0]]);
    const known = found.get(key);
    const aspects = [...(known?.as.aspects ?? []), aspect];
    const as = { kind, aspects, tellers, hearers, from: Math.min(from, known?.as.from ?? from), until };
    found.set(key, { first: known?.first ?? leak, as });
  }
  return new Map([...found.values()].map(({ first, as }) => [first, as]));
}

/** What one lane hears, from whomever, is one. */
function together(leaks: ReadonlyMap<Leak, KnownLeak>, lanes: readonly Lane[]): PlanLeak[] {
  const found = new Map<string, PlanLeak>();
  for (const [{ kind, until, tellers, hearers }, as] of leaks) {
    const key = `${kind} ${lanes.indexOf(hearers)}`;
    const known = found.get(key);
    const told = new Set([...(known?.aspects ?? []), ...as.aspects]);
    found.set(key, {
      kind,
      tellers: [...(known?.tellers ?? []), lanes.indexOf(tellers)],
      hearers: lanes.indexOf(hearers),
      aspects: TELLING.filter((aspect) => told.has(aspect)),
      from: Math.min(as.from, known?.from ?? as.from),
      until,
      hearing: hearers.seats.filter(({ noMore }) => !noMore.held).length,
      as: [...(known?.as ?? []), as],
    });
  }
  return [...found.values()];
}

/** A quiz at an instant under plans that are tried, else under its own. */
function revealUnder(live: ClassPapers, plans: Plans | null, at: number): Reveal {
  const reveal = revealOf(live, at);
  return plans ? new Reveal({ ...reveal.scene, ...plans }, at) : reveal;
}

/** What can be told too early and the teacher does not know of, what is known besides, and what only hints: by who hears it. */
function leaksIn({ quiz }: ClassPapers, reveal: Reveal, lanes: readonly Lane[]) {
  const all = leaksOf(reveal, lanes);
  const { known } = quiz.standing;
  const alarms = quiz.content.strict ? all : all.filter(givesKeyAway);
  const told = between(alarms);
  const parted = (wanted: boolean) => new Map([...told].filter(([, as]) => isKnown(as, known) === wanted));
  return {
    leaks: together(parted(false), lanes),
    hints: together(between(all.filter((leak) => !alarms.includes(leak))), lanes),
    known: together(parted(true), lanes).length,
  };
}

/** How many warnings there are for a quiz. */
export async function leakCount(quizId: string): Promise<number> {
  const live = await liveClass(quizId);
  const reveal = revealOf(live, now());
  return leaksIn(live, reveal, lanesOf(reveal)).leaks.length;
}

/** The plan as it is written now, or other plans that are tried, as the class meets it: lanes, what leaks, what nobody hears. */
export async function planView(quizId: string, plans: Plans | null = null): Promise<PlanView> {
  const [live, classes, paper] = await Promise.all([liveClass(quizId), listClasses(), draftPaper(quizId)]);
  const at = now();
  const reveal = revealUnder(live, plans, at);
  const lanes = lanesOf(reveal);
  const calledOf = namer(live, reveal, new Map(classes.map(({ id, name }) => [id, name])));
  const says = paper.questions.filter((question) => kindOf(question).asks);
  const numbers = (without: (question: Question) => boolean) =>
    says.flatMap((question, at) => (without(question) ? [at + 1] : []));
  return {
    lanes: lanes.map((lane) => ({
      ...calledOf(lane),
      students: lane.seats.length,
      from: lane.from,
      until: lane.until,
      marks: marksOf(lane, reveal),
    })),
    ...leaksIn(live, reveal, lanes),
    silence: silenceOf(reveal),
    unwritten: {
      feedback: numbers((question) => !saysAnything(question)),
      explanations: numbers(({ explanation }) => isEmptyProse(explanation)),
      of: says.length,
    },
    torn: reveal
      .listed()
      .filter(({ seat }) => seat.window.torn.length > 0)
      .map(({ seat }) => live.students.get(seat.studentId)?.name ?? ''),
    now: at,
  };
}

/** What other plans would do for the students of now. */
export async function plansEffect(quizId: string, plans: Plans): Promise<PlanEffect> {
  const live = await liveClass(quizId);
  const at = now();
  return planEffect(revealOf(live, at), revealUnder(live, plans, at));
}

/** What counting days by another zone, with the times the same on the clock, would do to the scores that are recorded now. */
export async function zoneEffect(quizId: string, zone: string): Promise<WorkEffect> {
  const { marked, quiz, people, members } = await liveClass(quizId);
  const { content, standing } = inZone(quiz, zone, now());
  const windowOf = windowsOf(windowOfQuiz(standing.opening, content), standing, people, members);
  return effectOfWork(marked, { ...marked.work, windowOf });
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
