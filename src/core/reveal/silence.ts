import { ASPECTS, NEEDS, type Aspect } from '../quiz/plan/plan';
import { lanesOf } from './lanes';
import type { Reveal } from './whatIsShown';

/** Texts that a plan can leave unread though their aspect, or another one, is shown. */
export type UnreadText = 'feedbackForRight' | 'explanations' | 'ifMissed' | 'bands';

/** What nobody hears under a plan. */
export interface Silence {
  /** Aspects that no student will ever be shown. */
  readonly never: readonly Aspect[];
  readonly texts: readonly UnreadText[];
  /** Aspects that somebody is shown only once the teacher closes the quiz. */
  readonly waitForClose: readonly Aspect[];
}

/** What no one will ever see under the plan at an instant, and what waits for nothing but the teacher's *Close*. */
export function silenceOf(reveal: Reveal): Silence {
  const { scene } = reveal;
  const lanes = lanesOf(reveal);
  const plans = lanes.length > 0 ? lanes.map(({ plan }) => plan) : [scene.plan.aspects];
  // What needs another aspect is not shown without it either.
  const isNever = (aspect: Aspect) => {
    const needed = NEEDS[aspect];
    return plans.every(
      (plan) => plan[aspect].when === 'never' || (needed !== undefined && plan[needed].when === 'never'),
    );
  };
  const isFor = (aspect: Aspect, test: (only: 'all' | 'notFullyRight') => boolean) =>
    plans.every((plan) => test(plan[aspect].only));
  const texts: UnreadText[] = [];
  const noFeedback = isNever('feedback');
  const noAnswers = isNever('rightAnswers');
  const keepsToWrong =
    isFor('feedback', (only) => only !== 'all') || isFor('questions', (only) => only !== 'all');
  if (noFeedback || keepsToWrong) texts.push('feedbackForRight');
  if (noAnswers) texts.push('explanations');
  if (noFeedback || noAnswers) texts.push('ifMissed');
  if (noFeedback || isNever('score')) texts.push('bands');
  const openEnded = lanes.flatMap(({ seats }) =>
    seats.filter(({ seat, noMore }) => seat.window.until === null && !noMore.held),
  );
  const waitForClose = ASPECTS.filter((aspect) =>
    lanes.some(({ plan, until, attempts }) => {
      const { when } = plan[aspect];
      if (when === 'never') return false;
      return when.some((condition) => {
        if (condition.when === 'closed') return until === null;
        if (condition.when === 'allClosed') return openEnded.length > 0;
        return condition.when === 'lastAttempt' && attempts === null && until === null;
      });
    }),
  );
  return { never: ASPECTS.filter(isNever), texts, waitForClose };
}
