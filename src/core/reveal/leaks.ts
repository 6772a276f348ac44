import { same } from '../figures/deepEqual';
import {
  FILTERED,
  NEEDS,
  type Aspect,
  type AspectPlan,
  type Condition,
  type OwnPlan,
  type RevealPlan,
} from '../quiz/plan/plan';
import { lanesOf, type Lane } from './lanes';
import { heldSince, type SeatNow } from './seat';
import { byHand, delayed, type Reveal, type Scene } from './whatIsShown';

/** What early students can pass on to those who can still hand in. */

/** Aspects that give something away, the worst first. */
export const TELLING = ['rightAnswers', 'feedback', 'rightWrong', 'questions'] as const;
export type Telling = (typeof TELLING)[number];

/** What one lane can tell another, or itself, while that can still hand in. Times in ms since 1970. */
export interface Leak {
  readonly aspect: Telling;
  /** `others`: one student tells another; `self`: a student's next attempt is given away. */
  readonly kind: 'others' | 'self';
  readonly tellers: Lane;
  readonly hearers: Lane;
  /** The earliest that anyone could see it. */
  readonly from: number;
  /** Until when those who hear it can hand in; null: until the quiz is closed. */
  readonly until: number | null;
}

/** Whether a leak gives the key away, and does not only hint at it: an alarm for every teacher. */
export const givesKeyAway = ({ aspect }: Pick<Leak, 'aspect'>): boolean => aspect === 'rightAnswers';

const NOT_YET = Number.POSITIVE_INFINITY;
const first = (instants: readonly number[]): number => Math.min(NOT_YET, ...instants);

/** When a student could hand in first: when the window opens, or did sooner, from a file; never for one who let it pass. */
function firstHandIn({ seat, attempts, noMore }: SeatNow): number {
  const real = attempts.flatMap(({ attempt, stage }) =>
    stage.stage === 'handedIn' && !attempt.voided ? [stage.at] : [],
  );
  if (real.length === 0 && noMore.held) return NOT_YET;
  return first([seat.window.from ?? NOT_YET, ...real]);
}

/** When a student could be done first. */
const firstDone = (own: SeatNow): number =>
  own.done.held ? (own.done.at ?? 0) : first([firstHandIn(own), own.seat.window.until ?? NOT_YET]);

/** What was worked out for the leaks of one quiz at one instant: the same is asked for every two lanes. */
const known = new WeakMap<Reveal, Map<string, number>>();

function once(reveal: Reveal, key: string, work: () => number): number {
  let own = known.get(reveal);
  if (!own) known.set(reveal, (own = new Map()));
  const found = own.get(key);
  if (found !== undefined) return found;
  const made = work();
  own.set(key, made);
  return made;
}

/** The latest of the instants of everyone in a student's scope. */
const latestOfAll = (
  { when, scope }: Extract<Condition, { when: 'allClosed' | 'allDone' }>,
  own: SeatNow,
  reveal: Reveal,
): number =>
  once(reveal, `${when} ${scope} ${reveal.everyoneKey(own, scope)}`, () =>
    reveal
      .everyoneOf(own, scope)
      .map((one) => (when === 'allClosed' ? (one.closes.at ?? NOT_YET) : firstDone(one)))
      .reduce((a, b) => Math.max(a, b), 0),
  );

/** The instant at which a condition could hold first for a student, everyone doing at once what they can. */
function couldHold(condition: Condition, aspect: Aspect, own: SeatNow, reveal: Reveal): number {
  const { seat } = own;
  const handIn = firstHandIn(own);
  switch (condition.when) {
    case 'handedIn':
    case 'marked':
      return handIn;
    case 'closed':
      return seat.window.until ?? NOT_YET;
    case 'allClosed':
    case 'allDone':
      return reveal.keptSince(own, condition.when, condition.scope) ?? latestOfAll(condition, own, reveal);
    case 'date':
      return condition.at;
    case 'lastAttempt':
      if (own.noMore.held) return own.noMore.at ?? 0;
      return seat.window.attempts === null ? (seat.window.until ?? NOT_YET) : handIn;
    case 'byTeacher':
      return byHand(reveal.scene.acts, seat, aspect, reveal.now).shownSince ?? NOT_YET;
  }
}

/** An aspect with the one it needs. */
const withNeeded = (aspect: Aspect): Aspect[] => {
  const needed = NEEDS[aspect];
  return needed ? [aspect, needed] : [aspect];
};

const conditionsIn = (aspect: Aspect, plan: RevealPlan['aspects']): readonly Condition[] =>
  withNeeded(aspect).flatMap((one) => {
    const { when } = plan[one];
    return when === 'never' ? [] : when;
  });

/** The earliest that a student could see an aspect. */
const couldSee = (aspect: Aspect, own: SeatNow, plan: RevealPlan['aspects'], reveal: Reveal): number =>
  once(reveal, `see ${aspect} ${own.seat.studentId}`, () => seesFirst(aspect, own, plan, reveal));

function seesFirst(aspect: Aspect, own: SeatNow, plan: RevealPlan['aspects'], reveal: Reveal): number {
  const { scene, now } = reveal;
  let at = firstHandIn(own);
  for (const one of withNeeded(aspect)) {
    const { when } = plan[one];
    if (when === 'never' || byHand(scene.acts, own.seat, one, now).takenBack) return NOT_YET;
    for (const condition of when) {
      const holds = couldHold(condition, one, own, reveal);
      if (holds === NOT_YET) return NOT_YET;
      const delay = condition.when === 'date' ? null : condition.delay;
      at = Math.max(at, delayed(heldSince(holds), delay, scene.zone, now).at ?? NOT_YET);
    }
  }
  return at;
}

/** The aspects through which something of a kind can be told: one that is kept to what was not right says what was. */
const through = (aspect: Telling, plan: RevealPlan['aspects']): readonly Aspect[] =>
  aspect === 'rightWrong'
    ? [
        'rightWrong',
        ...FILTERED.filter(
          (one) => one !== 'rightWrong' && withNeeded(one).some((needed) => plan[needed].only !== 'all'),
        ),
      ]
    : [aspect];

/** The earliest that an aspect is seen by those of a lane to whom the same people are *everyone* who must have handed in first. */
interface Heard {
  readonly at: number;
  readonly everyones: readonly ReadonlySet<SeatNow>[];
}

/** What the lanes of one quiz at one instant hear: the same is asked for every lane that could be told. */
const heard = new WeakMap<Lane, Map<Aspect, readonly Heard[]>>();

function heardFrom(aspect: Aspect, lane: Lane, reveal: Reveal): readonly Heard[] {
  let own = heard.get(lane);
  if (!own) heard.set(lane, (own = new Map()));
  const found = own.get(aspect);
  if (found) return found;
  const scopes = conditionsIn(aspect, lane.plan).flatMap((one) =>
    one.when === 'allDone' ? [one.scope] : [],
  );
  const alike = new Map<string, SeatNow[]>();
  for (const seat of lane.seats) {
    const key = JSON.stringify(scopes.map((scope) => reveal.everyoneKey(seat, scope)));
    const known = alike.get(key);
    if (known) known.push(seat);
    else alike.set(key, [seat]);
  }
  const made = [...alike.values()].map((seats) => ({
    at: seats
      .map((one) => couldSee(aspect, one, lane.plan, reveal))
      .reduce((a, b) => Math.min(a, b), NOT_YET),
    everyones: scopes.map((scope) => new Set(reveal.everyoneOf(seats[0] as SeatNow, scope))),
  }));
  own.set(aspect, made);
  return made;
}

/** Whether those who hear are among everyone who must have handed in first, and have no further attempt. */
const comesTooLate = ({ everyones }: Heard, { attempts, seats }: Lane): boolean =>
  attempts !== null && attempts <= 1 && everyones.some((all) => seats.every((own) => all.has(own)));

const canStillHandIn = ({ seats, until }: Lane, now: number): boolean =>
  (until === null || until > now) && seats.some(({ noMore }) => !noMore.held);

/** The earliest that somebody of a lane could see what an aspect tells the other lane. */
function couldTell(aspect: Telling, tellers: Lane, hearers: Lane, reveal: Reveal): number {
  let earliest = NOT_YET;
  for (const one of through(aspect, tellers.plan))
    for (const from of heardFrom(one, tellers, reveal))
      if (from.at < earliest && !comesTooLate(from, hearers)) earliest = from.at;
  return earliest;
}

function leakBetween(aspect: Telling, tellers: Lane, hearers: Lane, reveal: Reveal): Leak | null {
  if (tellers === hearers && tellers.seats.length < 2) return null;
  const { until } = hearers;
  const from = couldTell(aspect, tellers, hearers, reveal);
  if (from === NOT_YET || (until !== null && from >= until)) return null;
  return { aspect, kind: 'others', tellers, hearers, from, until };
}

/** What a student's own next attempt is given away by: the right answers, seen with attempts left. */
function selfLeak(lane: Lane, reveal: Reveal): Leak | null {
  const { attempts, until, plan } = lane;
  if (attempts === 1 || conditionsIn('rightAnswers', plan).some(({ when }) => when === 'lastAttempt'))
    return null;
  const seats = lane.seats.filter(({ left, noMore }) => left !== 0 && !noMore.held);
  if (seats.length === 0 || (until !== null && until <= reveal.now)) return null;
  const from = first(seats.map((own) => couldSee('rightAnswers', own, plan, reveal)));
  if (from === NOT_YET || (until !== null && from >= until)) return null;
  return { aspect: 'rightAnswers', kind: 'self', tellers: lane, hearers: lane, from, until };
}

/** Everything that can be passed on at an instant while somebody can still hand in, the worst first. */
export function leaksOf(reveal: Reveal, lanes: readonly Lane[] = lanesOf(reveal)): Leak[] {
  const open = lanes.filter((lane) => canStillHandIn(lane, reveal.now));
  const between = TELLING.flatMap((aspect) =>
    lanes.flatMap((tellers) =>
      open.flatMap((hearers) => leakBetween(aspect, tellers, hearers, reveal) ?? []),
    ),
  );
  return [...between, ...lanes.flatMap((lane) => selfLeak(lane, reveal) ?? [])];
}

/** What mends a leak: waiting until everyone has closed, or until the last attempt is used. */
const remedyOf = ({ kind }: Pick<Leak, 'kind'>): Condition =>
  kind === 'self' ? { when: 'lastAttempt', delay: null } : { when: 'allClosed', scope: 'all', delay: null };

/** What every aspect waits for anyway. */
const HAND_IN: Condition = { when: 'handedIn', delay: null };

const held = (plan: AspectPlan, remedy: Condition): AspectPlan =>
  plan.when === 'never' || plan.when.some((one) => same(one, remedy))
    ? plan
    : { ...plan, when: [...plan.when.filter((one) => !same(one, HAND_IN)), remedy] };

/** A quiz's plan, and those of classes, groups and students, with everything held back that makes a leak. */
export function remedied(
  { plan, ownPlans }: Pick<Scene, 'plan' | 'ownPlans'>,
  leak: Pick<Leak, 'aspect' | 'kind'>,
): { readonly plan: RevealPlan; readonly ownPlans: readonly OwnPlan[] } {
  const remedy = remedyOf(leak);
  const mended = <Some extends Partial<RevealPlan['aspects']>>(
    aspects: Some,
    whole: RevealPlan['aspects'],
  ): Some => {
    const telling = through(leak.aspect, { ...whole, ...aspects });
    const entries = Object.entries(aspects) as [Aspect, AspectPlan][];
    return Object.fromEntries(
      entries.map(([aspect, one]) => [aspect, telling.includes(aspect) ? held(one, remedy) : one]),
    ) as Some;
  };
  return {
    plan: { ...plan, aspects: mended(plan.aspects, plan.aspects) },
    ownPlans: ownPlans.map((own) => ({ ...own, aspects: mended(own.aspects, plan.aspects) })),
  };
}
