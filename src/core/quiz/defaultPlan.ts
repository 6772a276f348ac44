import type { RevealPlan } from './plan';

/** The plan of a new quiz: everything at hand-in but the right answers. */
export const DEFAULT_PLAN: RevealPlan = {
  score: 'handedIn',
  rightWrong: 'handedIn',
  ownAnswers: 'handedIn',
  feedback: 'handedIn',
  rightAnswers: 'closed',
  comments: 'handedIn',
};
