import { ASPECTS, type Aspect, type AspectPlan, type OwnPlan, type RevealPlan } from '../quiz/plan/plan';
import { same } from '../figures/deepEqual';
import { isMeantBy, NEAREST_FIRST, type Belonging } from '../quiz/people/target';

/** The conditions of two plans together: never wins, and the fewer questions. */
function both(a: AspectPlan, b: AspectPlan): AspectPlan {
  const only = a.only === 'all' ? b.only : a.only;
  if (a.when === 'never' || b.when === 'never') return { when: 'never', only };
  const { when } = a;
  return { when: [...when, ...b.when.filter((one) => !when.some((known) => same(known, one)))], only };
}

/**
 * The plan of one student: aspect by aspect the nearest one counts, the student's own, the group's, the class's, the quiz's. Of two
 * groups, or two classes, the conditions of both.
 */
export function planFor(plan: RevealPlan, own: readonly OwnPlan[], who: Belonging): RevealPlan['aspects'] {
  const meant = own.filter((one) => isMeantBy(one.for, who));
  if (meant.length === 0) return plan.aspects;
  const nearest = (aspect: Aspect): AspectPlan => {
    for (const source of NEAREST_FIRST) {
      const plans = meant.flatMap((one) =>
        one.for.kind === source && one.aspects[aspect] ? [one.aspects[aspect]] : [],
      );
      if (plans.length > 0) return plans.reduce(both);
    }
    return plan.aspects[aspect];
  };
  return Object.fromEntries(ASPECTS.map((aspect) => [aspect, nearest(aspect)])) as RevealPlan['aspects'];
}
