import { emptyContent } from '@/core/quiz/newQuiz';
import {
  ASPECTS,
  NEVER,
  planOf,
  waitsFor,
  type Aspect,
  type Condition,
  type Delay,
  type OwnPlan,
  type RevealPlan,
  type Scope,
} from '@/core/quiz/plan/plan';
import type { MoreTime } from '@/core/quiz/people/school';
import type { Belonging, Target, TargetOrAll } from '@/core/quiz/people/target';
import { windowFor, type OwnWindow, type WindowFields } from '@/core/quiz/times/windows';
import { scopeKey } from '@/core/reveal/everyone';
import type { Seat, SeatAttempt } from '@/core/reveal/seat';
import { namedGroups, type Scene } from '@/core/reveal/whatIsShown';

/** A case about what is shown, as it stands in `tests/cases/reveal.json`: times with their offset, fields that are missing not set. */
export interface GivenScene {
  readonly zone?: string;
  readonly now?: string;
  readonly quiz?: GivenWindow & { readonly unfinished?: 'taken' | 'notCounted' };
  readonly classes?: Readonly<Record<string, GivenWindow>>;
  readonly groups?: Readonly<Record<string, GivenWindow>>;
  readonly students?: readonly GivenStudent[];
  readonly plan?: GivenPlan;
  readonly only?: Readonly<Partial<Record<Aspect, 'notFullyRight'>>>;
  readonly ownPlans?: Readonly<Record<string, GivenPlan>>;
  readonly whileWaiting?: RevealPlan['whileWaiting'];
  readonly missing?: 'zero' | 'empty';
  readonly attempts?: readonly GivenAttempt[];
  readonly acts?: readonly {
    readonly act: 'show' | 'takeBack';
    readonly at: string;
    readonly to: string;
    readonly aspects: readonly Aspect[];
  }[];
  readonly kept?: readonly {
    readonly when: 'allClosed' | 'allDone';
    readonly scope: Scope;
    readonly since: string;
  }[];
  readonly pauses?: readonly { readonly from: string; readonly to: string | null }[];
  readonly completePapers?: number;
  /** How each question of the paper came out, by its number. */
  readonly marks?: Readonly<Record<string, 'right' | 'partly' | 'wrong' | 'waits' | 'blank'>>;
  readonly ask?: { readonly student: string; readonly attempt?: number };
}

interface GivenWindow {
  readonly from?: string | null;
  readonly due?: string | null;
  readonly until?: string | null;
  readonly grace?: number;
  readonly timeLimit?: number | null;
  readonly attempts?: number | null;
}

interface GivenStudent {
  readonly id: string;
  readonly class?: string;
  readonly groups?: readonly string[];
  readonly window?: GivenWindow;
  readonly granted?: number;
  readonly moreTime?: MoreTime;
  readonly takenOff?: string;
}

interface GivenAttempt {
  readonly student: string;
  readonly number: number;
  readonly begun?: string;
  readonly handedIn: string | null;
  readonly imported?: string;
  readonly voided?: boolean;
  readonly takenIn?: string;
  readonly marked?: string | null;
  readonly limit?: number | null;
  readonly reopened?: { readonly at: string; readonly minutesLeft: number | null };
}

/** Conditions as cases name them: `handedIn`, `allClosed group`, `closed + 1 day`, `date 2026-…`. */
type GivenPlan = Readonly<Partial<Record<Aspect, readonly string[] | 'never'>>>;

export const instant = (text: string): number => Date.parse(text);
const instantOrNull = (text: string | null): number | null => (text === null ? null : instant(text));

/** Groups of a case have one name each, whatever the class. */
const ANY_CLASS = '*';

export function targetOf(name: string): TargetOrAll {
  if (name === 'all') return { kind: 'all' };
  const [kind, ...rest] = name.split(' ');
  const id = rest.join(' ');
  if (kind === 'class') return { kind, classId: id };
  if (kind === 'group') return { kind, classId: ANY_CLASS, group: id };
  return { kind: 'student', studentId: kind === 'student' ? id : name };
}

function conditionOf(text: string): Condition {
  if (text.startsWith('date ')) return { when: 'date', at: instant(text.slice(5)) };
  const [head = '', after] = text.split(' + ');
  const [when, scope] = head.split(' ');
  const [amount, unit] = after?.split(' ') ?? [];
  const delay: Delay | null =
    amount === undefined
      ? null
      : { amount: Number(amount), unit: (unit ?? '').replace(/s$/, '') as Delay['unit'] };
  if (when === 'allClosed' || when === 'allDone') return { when, scope: scope as Scope, delay };
  return { when: when as 'handedIn' | 'closed' | 'marked' | 'lastAttempt' | 'byTeacher', delay };
}

const aspectsOf = (given: GivenPlan, only: GivenScene['only'] = {}): OwnPlan['aspects'] =>
  Object.fromEntries(
    ASPECTS.flatMap((aspect) => {
      const conditions = given[aspect];
      if (conditions === undefined) return [];
      const plan = conditions === 'never' ? NEVER : waitsFor(...conditions.map(conditionOf));
      return [[aspect, { ...plan, only: only[aspect] ?? 'all' }] as const];
    }),
  );

/** *Questions* come at hand-in where a case says nothing, all else never. */
const planIn = ({ plan = {}, only, whileWaiting = 'soFar' }: GivenScene): RevealPlan => ({
  aspects: planOf(NEVER, aspectsOf({ questions: ['handedIn'], ...plan }, only)).aspects,
  whileWaiting,
});

function fieldsOf(given: GivenWindow): Partial<WindowFields> {
  const { from, due, until, ...rest } = given;
  return {
    ...(from === undefined ? {} : { from: instantOrNull(from) }),
    ...(due === undefined ? {} : { due: instantOrNull(due) }),
    ...(until === undefined ? {} : { until: instantOrNull(until) }),
    ...rest,
  };
}

/** A window that says nothing: never opened, one attempt, as long as it likes. */
export const NO_WINDOW: WindowFields = {
  from: null,
  due: null,
  grace: 0,
  until: null,
  timeLimit: null,
  attempts: emptyContent('').attempts.most,
  goingBack: true,
  comingBack: true,
};

function attemptOf(given: GivenAttempt): SeatAttempt {
  const handedIn = given.handedIn ?? given.imported ?? null;
  const begun = given.begun ?? handedIn ?? '1970-01-01T00:00:00Z';
  return {
    id: `${given.student} ${given.number}`,
    number: given.number,
    begunAt: instant(begun),
    limit: given.limit ?? null,
    reopened: given.reopened ? { at: instant(given.reopened.at), minutes: given.reopened.minutesLeft } : null,
    handedInAt: instantOrNull(handedIn),
    timeKnown: given.handedIn !== null,
    voided: given.voided ?? false,
    takenInAt: given.takenIn === undefined ? null : instant(given.takenIn),
    marked: given.marked === undefined ? 'atHandIn' : instantOrNull(given.marked),
  };
}

/** A scene as a case tells it. */
export function sceneOf(given: GivenScene): Scene {
  const { unfinished = 'taken', ...window } = given.quiz ?? {};
  const quiz: WindowFields = { ...NO_WINDOW, timeLimit: null, ...fieldsOf(window) };
  const students = given.students ?? [];
  const pauses = (given.pauses ?? []).map(({ from, to }) => ({ from: instant(from), to: instantOrNull(to) }));
  const ownWindows: OwnWindow[] = [
    ...Object.entries(given.classes ?? {}).map(([name, one]) => [`class ${name}`, one] as const),
    ...Object.entries(given.groups ?? {}).map(([name, one]) => [`group ${name}`, one] as const),
    ...students.flatMap((one) => (one.window ? [[`student ${one.id}`, one.window] as const] : [])),
  ].map(([name, one]) => ({ id: name, for: targetOf(name) as Target, set: fieldsOf(one) }));
  const ownPlans = Object.entries(given.ownPlans ?? {}).map(([name, one]): OwnPlan => ({
    id: name,
    for: targetOf(name) as Target,
    aspects: aspectsOf(one),
  }));
  const seats = students.map((one): Seat => {
    const who: Belonging = {
      studentId: one.id,
      classes: one.class === undefined ? [] : [one.class],
      groups: (one.groups ?? []).map((group) => ({ classId: ANY_CLASS, group })),
    };
    return {
      ...who,
      window: windowFor(quiz, ownWindows, pauses, { ...who, moreTime: one.moreTime ?? null }),
      granted: one.granted ?? 0,
      takenOffAt: one.takenOff === undefined ? null : instant(one.takenOff),
      meant: true,
      attempts: (given.attempts ?? []).filter(({ student }) => student === one.id).map(attemptOf),
    };
  });
  const named = namedGroups({ ownPlans, ownWindows });
  return {
    zone: given.zone ?? 'Europe/Berlin',
    plan: planIn(given),
    ownPlans,
    ownWindows,
    acts: (given.acts ?? []).map(({ act, at, to, aspects }) => ({
      id: `${act} ${at} ${to}`,
      act,
      at: instant(at),
      aspects: [...aspects],
      to: targetOf(to),
    })),
    kept: (given.kept ?? []).flatMap(({ when, scope, since }) =>
      [...new Set(seats.map((seat) => scopeKey(seat, scope, named)))].map((of) => ({
        when,
        scope,
        of,
        since: instant(since),
      })),
    ),
    unfinished,
    missing: given.missing ?? 'zero',
    seats,
    completePapers: given.completePapers ?? 99,
  };
}

/** A case with its rows laid over what they share: one scene each. */
export const rowsOf = <Given extends object>(
  given: Given & { readonly each?: readonly Partial<Given>[] },
): Given[] => {
  const { each, ...shared } = given;
  return each ? each.map((row) => ({ ...shared, ...row }) as Given) : [shared as Given];
};
