import { instantAt, wallClock } from '../../figures/wallClock';
import type { AspectPlan, OwnPlan, RevealPlan } from '../plan/plan';
import type { QuizContent, QuizStanding } from '../quiz';
import type { OwnWindow } from './windows';

/** Everything of a quiz in which times are typed. */
export interface TypedTimes {
  readonly content: QuizContent;
  readonly standing: Pick<QuizStanding, 'opening' | 'windows' | 'plans'>;
}

/** True where a quiz has times that another zone would move. */
export const hasTimes = ({ content, standing }: TypedTimes): boolean =>
  standing.opening !== null ||
  standing.windows.some(({ set }) => [set.from, set.due, set.until].some((at) => typeof at === 'number')) ||
  [content.plan.aspects, ...standing.plans.map(({ aspects }) => aspects)].some((aspects) =>
    Object.values(aspects).some(({ when }) => when !== 'never' && when.some((one) => one.when === 'date')),
  );

/**
 * A quiz in another time zone: every time that was typed shows the same on the wall there, 16:00 stays 16:00. Where an opening
 * or an end has passed at an instant, it stays: whoever has begun has begun, and what is closed is not open again.
 */
export function inZone<Quiz extends TypedTimes>(quiz: Quiz, zone: string, now: number): Quiz {
  const { content, standing } = quiz;
  const moved = (at: number): number => instantAt(wallClock(at, content.zone) + (at % 1000), zone);
  const time = <At extends number | null | undefined>(at: At): At =>
    (typeof at === 'number' ? moved(at) : at) as At;
  const unlessPassed = <At extends number | null | undefined>(at: At): At =>
    typeof at === 'number' && at <= now ? at : time(at);
  const window = (set: OwnWindow['set']): OwnWindow['set'] => ({
    ...set,
    ...(set.from === undefined ? {} : { from: unlessPassed(set.from) }),
    ...(set.due === undefined ? {} : { due: time(set.due) }),
    ...(set.until === undefined ? {} : { until: unlessPassed(set.until) }),
  });
  const aspect = (plan: AspectPlan): AspectPlan =>
    plan.when === 'never'
      ? plan
      : {
          ...plan,
          when: plan.when.map((one) => (one.when === 'date' ? { ...one, at: moved(one.at) } : one)),
        };
  const aspects = <Some extends OwnPlan['aspects'] | RevealPlan['aspects']>(some: Some): Some =>
    Object.fromEntries(
      Object.entries(some).map(([name, plan]) => [name, aspect(plan as AspectPlan)]),
    ) as Some;
  const { opening } = standing;
  return {
    ...quiz,
    content: { ...content, zone, plan: { ...content.plan, aspects: aspects(content.plan.aspects) } },
    standing: {
      ...standing,
      opening: opening && {
        ...opening,
        from: unlessPassed(opening.from),
        due: time(opening.due),
        until: unlessPassed(opening.until),
      },
      windows: standing.windows.map((one) => ({ ...one, set: window(one.set) })),
      plans: standing.plans.map((one) => ({ ...one, aspects: aspects(one.aspects) })),
    },
  };
}
