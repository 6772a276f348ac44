import { useId } from 'react';
import type { RevealPlan } from '@/core/quiz/plan/plan';
import { READY_MADE, readyMadeOf } from './readyMade';

interface Props {
  readonly plan: RevealPlan;
  readonly onPlan: (plan: RevealPlan) => void;
}

/** What students see when: four plans to choose from, each with what it gives away; one of the teacher’s own stays beside them. */
export function SeenWhen({ plan, onPlan }: Props) {
  const name = useId();
  const now = readyMadeOf(plan);
  const choice = (title: string, costs: string, checked: boolean, choose: () => void) => (
    <label key={title} className="flex min-h-8 items-baseline gap-2">
      <input
        type="radio"
        name={name}
        className="size-4 translate-y-0.5 accent-[var(--petrol)]"
        checked={checked}
        onChange={choose}
      />
      <span className={checked ? 'font-semibold' : ''}>
        {title}
        {costs !== '' && <span className="caption font-normal"> · {costs}</span>}
      </span>
    </label>
  );
  return (
    <div role="radiogroup" aria-label="What students see, and when">
      {READY_MADE.map(({ title, costs, plan: ready }) =>
        choice(title, costs, now?.title === title, () => onPlan({ ...plan, aspects: ready.aspects })),
      )}
      {!now && choice('As you set it below', '', true, () => undefined)}
    </div>
  );
}
