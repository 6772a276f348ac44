import { daysLater } from '../figures/wallClock';
import {
  ASPECTS,
  isFiltered,
  NEEDS,
  type Aspect,
  type AspectPlan,
  type Condition,
  type Delay,
  type Kept,
  type OwnPlan,
  type RevealAct,
  type RevealPlan,
  type Scope,
} from '../quiz/plan/plan';
import { groupKey, isMeantBy } from '../quiz/people/target';
import type { OwnWindow } from '../quiz/times/windows';
import { isInScope, latestOf, scopeKey, type NamedGroups } from './everyone';
import { planFor } from './planFor';
import {
  byClock,
  heldSince,
  later,
  seatAt,
  whyNoScore,
  type Instant,
  type Seat,
  type SeatAttempt,
  type SeatNow,
  type SeatRules,
  type Stage,
} from './seat';

/** Something that an aspect waits for: one of the plan's conditions, or that the teacher shows again what was taken back. */
export interface Wait {
  readonly for: Condition['when'] | 'takenBack';
  /** Of whom everyone is said. */
  readonly scope: Scope | null;
  /** How much later than that. */
  readonly delay: Delay | null;
  /** When it would hold if nobody did anything from now on: ms since 1970; null: not known. */
  readonly until: number | null;
}

/** Why there is nothing to show of an aspect, whatever the plan says. */
export type Nothing = 'noAttempt' | 'voided' | 'tooLate' | 'fewPapers';

/** Whether an aspect is shown to a student, since when, or what it waits for and until when if that is known. */
export type Showing =
  | { readonly state: 'shown'; readonly since: number }
  | { readonly state: 'waits'; readonly for: readonly Wait[]; readonly until: number | null }
  | { readonly state: 'never' }
  | { readonly state: 'nothing'; readonly why: Nothing };

export type WhatIsShown = Readonly<Record<Aspect, Showing>>;

/** Everything about a quiz that decides what is shown. Times in ms since 1970. */
export interface Scene extends SeatRules {
  /** By which days are counted. */
  readonly zone: string;
  readonly plan: RevealPlan;
  readonly ownPlans: readonly OwnPlan[];
  /** Whose windows are named: their groups are groups of the quiz. */
  readonly ownWindows: readonly OwnWindow[];
  readonly acts: readonly RevealAct[];
  readonly kept: readonly Kept[];
  /** What stands for missing work: a 0, or nothing. */
  readonly missing: 'zero' | 'empty';
  /** Everyone for whom the quiz is set, and whoever else has work here. */
  readonly seats: readonly Seat[];
  /** How many papers of the class have nothing waiting; fewer than five say nothing of a class. */
  readonly completePapers: number;
}

/** From so many complete papers on, how the class did is shown. */
export const FEWEST_PAPERS = 5;

/** An instant so much later: minutes and hours elapse, days keep the time on the wall. */
export const delayedAt = (at: number, { amount, unit }: Delay, zone: string): number =>
  unit === 'day' ? daysLater(at, amount, zone) : at + amount * (unit === 'hour' ? 3_600_000 : 60_000);

/** A condition's instant that much later. */
export function delayed(instant: Instant, delay: Delay | null, zone: string, now: number): Instant {
  if (!delay || instant.at === null) return instant;
  const at = delayedAt(instant.at, delay, zone);
  // What has not come yet comes by somebody's act or the clock: its delay begins then.
  return { held: instant.held && at <= now, at };
}

/** The teacher's acts for one student and aspect: whether it is shown or taken back by hand, and since when. */
interface ByHand {
  readonly shownSince: number | null;
  readonly takenBack: boolean;
}

export function byHand(acts: readonly RevealAct[], seat: Seat, aspect: Aspect, now: number): ByHand {
  let [shownSince, takenBack]: [number | null, boolean] = [null, false];
  const reaching = acts
    .filter((act) => act.at <= now && act.aspects.includes(aspect) && isMeantBy(act.to, seat))
    .sort((a, b) => a.at - b.at);
  for (const { act, at } of reaching) {
    takenBack = act === 'takeBack';
    // Shown again, it has been shown since the first of the presses.
    shownSince = takenBack ? null : (shownSince ?? at);
  }
  return { shownSince, takenBack };
}

/** The attempt that is decided for: begun, with where it stands; null for a student without one. */
type Mine = SeatNow['attempts'][number] | null;

/** When nothing in the attempt waits any more. */
function markedAt({ marked }: SeatAttempt, handIn: Instant, now: number): Instant {
  if (marked === 'atHandIn') return handIn;
  if (marked === null || marked > now) return { held: false, at: null };
  return later(handIn, heldSince(marked));
}

/** A quiz at an instant, and what each of its students is shown then. */
export class Reveal {
  readonly #seats: ReadonlyMap<string, Seat>;
  readonly #stands = new Map<string, SeatNow>();
  readonly #groups: NamedGroups;
  readonly #everyone = new Map<string, Instant>();

  constructor(
    readonly scene: Scene,
    readonly now: number,
  ) {
    this.#seats = new Map(scene.seats.map((seat) => [seat.studentId, seat]));
    this.#groups = namedGroups(scene);
  }

  /** Where a student stands; null for one who has nothing to do with the quiz. */
  seat(studentId: string): SeatNow | null {
    const known = this.#stands.get(studentId);
    if (known) return known;
    const seat = this.#seats.get(studentId);
    if (!seat) return null;
    const stands = seatAt(seat, this.scene, this.now);
    this.#stands.set(studentId, stands);
    return stands;
  }

  /** The students for whom something is true, and where they stand. */
  #those(isOne: (seat: Seat) => boolean): SeatNow[] {
    return [...this.#seats.values()].filter(isOne).flatMap(({ studentId }) => this.seat(studentId) ?? []);
  }

  /**
   * What a student is shown of an attempt: of the one that is named, else of the last one handed in, else of the one
   * that is running.
   */
  shown(studentId: string, attemptId?: string): WhatIsShown {
    const own = this.seat(studentId);
    if (!own) throw new RangeError(`No student ${studentId} at this quiz`);
    const plans = planFor(this.scene.plan, this.scene.ownPlans, own.seat);
    const mine = mineOf(own, attemptId);
    const decide = (aspect: Aspect) => this.#decide(aspect, plans, own, mine);
    return Object.fromEntries(ASPECTS.map((aspect) => [aspect, decide(aspect)])) as WhatIsShown;
  }

  /** The same of one aspect alone. */
  showing(studentId: string, attemptId: string, aspect: Aspect): Showing {
    const own = this.seat(studentId);
    if (!own) throw new RangeError(`No student ${studentId} at this quiz`);
    const plans = planFor(this.scene.plan, this.scene.ownPlans, own.seat);
    return this.#decide(aspect, plans, own, mineOf(own, attemptId));
  }

  /** Everyone whom the quiz is set for and who is on the list. */
  listed(): SeatNow[] {
    return this.#those((seat) => seat.meant && (seat.takenOffAt === null || seat.takenOffAt > this.now));
  }

  /** Those of whom *everyone* is said to a student, the student among them. */
  everyoneOf(own: SeatNow, scope: Scope): SeatNow[] {
    return this.#those(
      (seat) =>
        seat.studentId === own.seat.studentId ||
        (seat.meant && isInScope(own.seat, scope, this.#groups, seat)),
    );
  }

  /** What tells the *everyone* of one student from that of another. */
  everyoneKey({ seat }: SeatNow, scope: Scope): string {
    const of = scopeKey(seat, scope, this.#groups);
    return seat.meant ? of : `only ${seat.studentId} ${of}`;
  }

  /** Since when an *everyone* condition is kept as held for a student, whatever was done for others since; null: it is not. */
  keptSince(own: SeatNow, when: Kept['when'], scope: Scope): number | null {
    const of = scopeKey(own.seat, scope, this.#groups);
    const kept = this.scene.kept
      .filter((one) => one.when === when && one.scope === scope && one.of === of && one.since <= this.now)
      .map(({ since }) => since);
    return kept.length > 0 && own.noMore.held ? Math.max(Math.min(...kept), own.noMore.at ?? 0) : null;
  }

  /** Since when an *everyone* condition holds for a student; null where it does not. */
  everyonesSince(own: SeatNow, when: Kept['when'], scope: Scope): number | null {
    const { held, at } = this.#everyones(own, when, scope, (seat) =>
      when === 'allClosed' ? seat.closes : seat.done,
    );
    return held ? at : null;
  }

  /** The questions' filter of an aspect for a student: that of the aspect it needs holds for it too. */
  only(studentId: string, aspect: Aspect): AspectPlan['only'] {
    const seat = this.#seats.get(studentId);
    if (!seat || !isFiltered(aspect)) return 'all';
    const plans = planFor(this.scene.plan, this.scene.ownPlans, seat);
    const needed = NEEDS[aspect];
    return plans[aspect].only === 'all' && needed ? plans[needed].only : plans[aspect].only;
  }

  #decide(aspect: Aspect, plans: RevealPlan['aspects'], own: SeatNow, mine: Mine): Showing {
    const needed = NEEDS[aspect];
    const all = needed ? [aspect, needed] : [aspect];
    if (all.some((one) => plans[one].when === 'never')) return { state: 'never' };
    const handIn = this.#handIn(aspect, own, mine);
    if (handIn === 'nothing') return { state: 'nothing', why: 'noAttempt' };
    const why = mine ? whyNoScore(mine.attempt, own.seat.window, this.now) : null;
    if (aspect === 'score' && why) return { state: 'nothing', why };
    const waits = new Map<string, Wait>();
    let since: Instant = handIn;
    const put = (name: Wait['for'], scope: Scope | null, delay: Delay | null, asIs: Instant) => {
      const instant = delayed(asIs, delay, this.scene.zone, this.now);
      since = later(since, instant);
      if (instant.held) return;
      const key = `${name} ${scope}`;
      const known = waits.get(key);
      const until = known ? later({ held: false, at: known.until }, instant).at : instant.at;
      waits.set(key, { for: name, scope, delay: delay ?? known?.delay ?? null, until });
    };
    put('handedIn', null, null, handIn);
    for (const one of all) {
      const hand = byHand(this.scene.acts, own.seat, one, this.now);
      if (hand.takenBack) put('takenBack', null, null, { held: false, at: null });
      for (const condition of conditionsOf(one, plans, this.scene.plan)) {
        const instant = this.#instant(condition, own, mine, handIn, hand);
        const scope = 'scope' in condition ? condition.scope : null;
        put(condition.when, scope, condition.when === 'date' ? null : condition.delay, instant);
      }
    }
    if (aspect === 'score' && mine?.attempt.takenInAt)
      since = later(since, heldSince(mine.attempt.takenInAt));
    if (!since.held || since.at === null)
      return { state: 'waits', for: [...waits.values()], until: since.at };
    if (aspect === 'classDid' && this.scene.completePapers < FEWEST_PAPERS)
      return { state: 'nothing', why: 'fewPapers' };
    return { state: 'shown', since: since.at };
  }

  /** When this attempt was handed in, or, without any, when the student could hand in none any more. */
  #handIn(aspect: Aspect, own: SeatNow, mine: Mine): Instant | 'nothing' {
    if (mine && mine.stage.stage !== 'notHandedIn')
      return handInOf(mine.stage, mine.attempt, this.scene, this.now);
    const isMissing = own.attempts.every(({ stage }) => stage.stage !== 'handedIn');
    const shows = aspect === 'score' ? this.scene.missing === 'zero' : aspect === 'comments';
    if (isMissing && shows) return own.noMore;
    return own.noMore.held || mine ? 'nothing' : { held: false, at: null };
  }

  #instant(condition: Condition, own: SeatNow, mine: Mine, handIn: Instant, hand: ByHand): Instant {
    const { now } = this;
    switch (condition.when) {
      case 'handedIn':
        return handIn;
      case 'closed':
        return byClock(own.seat.window.until, now);
      case 'allClosed':
        return this.#everyones(own, condition.when, condition.scope, ({ closes }) => closes);
      case 'allDone':
        return this.#everyones(own, condition.when, condition.scope, ({ done }) => done);
      case 'date':
        return byClock(condition.at, now);
      case 'marked':
        return mine ? markedAt(mine.attempt, handIn, now) : handIn;
      case 'lastAttempt':
        return own.noMore;
      case 'byTeacher':
        return hand.shownSince === null ? { held: false, at: null } : heldSince(hand.shownSince);
    }
  }

  /** Everyone's instant; or, where it had held before something was done for another student, that one. */
  #everyones(
    own: SeatNow,
    when: 'allClosed' | 'allDone',
    scope: Scope,
    instant: (seat: SeatNow) => Instant,
  ): Instant {
    const kept = this.keptSince(own, when, scope);
    if (kept !== null) return heldSince(kept);
    const key = `${when} ${scope} ${this.everyoneKey(own, scope)}`;
    const known = this.#everyone.get(key);
    if (known) return known;
    const made = latestOf(this.everyoneOf(own, scope), instant);
    this.#everyone.set(key, made);
    return made;
  }
}

/** The conditions of an aspect; the score of a plan that holds it back waits for marking too. */
function conditionsOf(aspect: Aspect, plans: RevealPlan['aspects'], plan: RevealPlan): readonly Condition[] {
  const { when } = plans[aspect];
  if (when === 'never') return [];
  return aspect === 'score' && plan.whileWaiting === 'heldBack'
    ? [...when, { when: 'marked', delay: null }]
    : when;
}

const handInOf = (stage: Stage, attempt: SeatAttempt, rules: SeatRules, now: number): Instant => {
  if (stage.stage !== 'running') return heldSince(stage.at);
  const isTaken = rules.unfinished === 'taken' || attempt.reopened !== null;
  return isTaken ? byClock(stage.ends, now) : { held: false, at: null };
};

function mineOf({ attempts }: SeatNow, attemptId: string | undefined): Mine {
  if (attemptId !== undefined) return attempts.find(({ attempt }) => attempt.id === attemptId) ?? null;
  return (
    attempts.findLast(({ stage }) => stage.stage === 'handedIn') ??
    attempts.findLast(({ stage }) => stage.stage === 'running') ??
    null
  );
}

/** The groups that a quiz names in its windows or plans: others are no groups to it. */
export const namedGroups = ({ ownPlans, ownWindows }: Pick<Scene, 'ownPlans' | 'ownWindows'>): NamedGroups =>
  new Set(
    [...ownPlans, ...ownWindows].flatMap((one) => (one.for.kind === 'group' ? [groupKey(one.for)] : [])),
  );

/**
 * Decides what one student sees of one attempt at an instant. No other code decides this. For many students of one quiz,
 * a {@link Reveal} answers for all.
 */
export const whatIsShown = (scene: Scene, studentId: string, now: number, attemptId?: string): WhatIsShown =>
  new Reveal(scene, now).shown(studentId, attemptId);

/**
 * What stands on a slip that the teacher prints: everything, with or without the right answers. Printing is the
 * teacher's own act, and no plan holds it back.
 */
export function whatIsPrinted(finishedAt: number, rightAnswers: 'with' | 'without'): WhatIsShown {
  const showing = (aspect: Aspect): Showing =>
    (aspect === 'rightAnswers' && rightAnswers === 'without') || aspect === 'classDid'
      ? { state: 'never' }
      : { state: 'shown', since: finishedAt };
  return Object.fromEntries(ASPECTS.map((aspect) => [aspect, showing(aspect)])) as WhatIsShown;
}
