import { at, NEVER, planOf, waitsFor, type RevealPlan } from './plan';

/**
 * The plan of a new quiz: everything at hand-in but the right answers, which come when nobody can hand in any more, and nothing
 * of the others. It gives nothing of the key away, whatever the windows are.
 */
export const DEFAULT_PLAN: RevealPlan = planOf(waitsFor(at('handedIn')), {
  rightAnswers: waitsFor({ when: 'allClosed', scope: 'all', delay: null }),
  classDid: NEVER,
});
