import { same } from '@/core/figures/deepEqual';
import { daysLater } from '@/core/figures/wallClock';
import type { Aspect, AspectPlan, Delay } from '@/core/quiz/plan/plan';
import type { Target } from '@/core/quiz/people/target';
import type { Plans } from '@/store/quiz/standing';
import type { PlanMark } from '@/workers/classDesk';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const MOST = 10_000;

/** How much later one instant is than another: in days where the clock says the same, else in hours or minutes. */
export function delayBetween(from: number, to: number, zone: string): Delay | null {
  const passed = to - from;
  if (passed < MINUTE) return null;
  const days = Math.round(passed / DAY);
  if (days > 0 && daysLater(from, days, zone) === to) return { amount: Math.min(MOST, days), unit: 'day' };
  return passed % HOUR === 0
    ? { amount: Math.min(MOST, passed / HOUR), unit: 'hour' }
    : { amount: Math.min(MOST, Math.round(passed / MINUTE)), unit: 'minute' };
}

/** An aspect's plan whose date, or the delay after what it waits for, is another one. */
function moved(plan: AspectPlan, mark: PlanMark, to: number, zone: string): AspectPlan {
  const { when } = plan;
  const [condition] = when;
  if (when === 'never' || typeof condition !== 'object' || mark.follows === null) return plan;
  if (condition.when === 'date') return { ...plan, when: [{ when: 'date', at: to }] };
  return { ...plan, when: [{ ...condition, delay: delayBetween(mark.soonest, to, zone) }] };
}

/** The plans with marks of a lane moved to an instant: in the plan of the lane's own where it has one, else in everyone's. */
export function withMoved(
  plans: Plans,
  target: Target | null,
  marks: readonly PlanMark[],
  to: number,
  zone: string,
): Plans {
  const next = { ...plans };
  for (const mark of marks) {
    const { aspect } = mark;
    const change = <Some extends Partial<Record<Aspect, AspectPlan>>>(aspects: Some): Some => {
      const one = aspects[aspect];
      return one ? { ...aspects, [aspect]: moved(one, mark, to, zone) } : aspects;
    };
    const own = target && next.ownPlans.find((one) => same(one.for, target) && one.aspects[aspect]);
    if (own)
      next.ownPlans = next.ownPlans.map((one) =>
        one === own ? { ...one, aspects: change(one.aspects) } : one,
      );
    else next.plan = { ...next.plan, aspects: change(next.plan.aspects) };
  }
  return next;
}
