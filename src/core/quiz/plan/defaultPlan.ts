import { at, NEVER, planOf, waitsFor, type RevealPlan } from './plan';

/** The plan of a new quiz: everything at hand-in but the right answers, and nothing of the others. */
export const DEFAULT_PLAN: RevealPlan = planOf(waitsFor(at('handedIn')), {
  rightAnswers: waitsFor(at('closed')),
  classDid: NEVER,
});
