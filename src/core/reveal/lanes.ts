import type { RevealPlan } from '../quiz/plan/plan';
import { isMeantBy } from '../quiz/people/target';
import { planFor } from './planFor';
import type { SeatNow } from './seat';
import type { Reveal } from './whatIsShown';

/** Students who may sit at the same time, as often, and are shown the same at the same time. */
export interface Lane {
  readonly seats: readonly SeatNow[];
  readonly from: number | null;
  readonly until: number | null;
  /** How many attempts each may make in all; null: as many as the window allows. */
  readonly attempts: number | null;
  readonly plan: RevealPlan['aspects'];
}

/** The lanes of a quiz, in the order of their first students. */
export function lanesOf(reveal: Reveal): Lane[] {
  const { plan, ownPlans, acts } = reveal.scene;
  const lanes = new Map<string, { lane: Lane; seats: SeatNow[] }>();
  for (const own of reveal.listed()) {
    const { seat } = own;
    const { from, until, attempts: most } = seat.window;
    const attempts = most === null ? null : most + seat.granted;
    const aspects = planFor(plan, ownPlans, seat);
    const reaching = acts.flatMap((act, index) => (isMeantBy(act.to, seat) ? [index] : []));
    const key = JSON.stringify([from, until, attempts, aspects === plan.aspects ? null : aspects, reaching]);
    const known = lanes.get(key);
    if (known) known.seats.push(own);
    else {
      const seats = [own];
      lanes.set(key, { seats, lane: { seats, from, until, attempts, plan: aspects } });
    }
  }
  return [...lanes.values()].map(({ lane }) => lane);
}
