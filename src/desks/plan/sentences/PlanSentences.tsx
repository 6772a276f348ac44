import { useState } from 'react';
import { same } from '@/core/figures/deepEqual';
import { ASPECTS, type Aspect, type AspectPlan, type OwnPlan } from '@/core/quiz/plan/plan';
import type { Target } from '@/core/quiz/people/target';
import type { Plans } from '@/store/quiz/standing';
import { newId } from '@/device/ids';
import { useQuiz } from '@/ui/teacher/quizContext';
import type { PlanLane } from '@/workers/classDesk';
import { keyOf, TargetChoice, useTargets, type Named } from '@/ui/teacher/useTargets';
import { AspectSentence } from './AspectSentence';
import { sentenceOf } from './conditionWords';

/** The plans with what is set apart for somebody in place of what was: where nothing is set apart, they have no plan of their own. */
function withOwn({ plan, ownPlans }: Plans, target: Target, aspects: OwnPlan['aspects']): Plans {
  const known = ownPlans.find((one) => same(one.for, target));
  const others = ownPlans.filter((one) => one !== known);
  const isEmpty = Object.keys(aspects).length === 0;
  return {
    plan,
    ownPlans: isEmpty ? others : [...others, { id: known?.id ?? newId(), for: target, aspects }],
  };
}

interface ApartProps {
  readonly sentence: string;
  readonly onApart: () => void;
}

/** A sentence that is as for everyone, and the press that sets it apart. */
const AsForEveryone = ({ sentence, onApart }: ApartProps) => (
  <li className="border-b border-hair py-2.5 text-[16px] leading-relaxed text-soft">
    {sentence}{' '}
    <button type="button" className="link-text cursor-pointer text-[13.5px]" onClick={onApart}>
      Make an exception<span className="sr-only">: {sentence}</span>
    </button>
  </li>
);

/** Whether the clock alone can say when an aspect comes: it waits for an end or a date, and for nobody's press. */
const isByClock = ({ when }: AspectPlan): boolean =>
  when !== 'never' &&
  when.every((one) => one.when !== 'byTeacher' && one.when !== 'marked') &&
  when.some((one) => one.when === 'closed' || one.when === 'allClosed' || one.when === 'date');

/** When an aspect comes to those who are spoken of; null where that is not known, or not the same for all of them. */
function comesAt(aspect: Aspect, plan: AspectPlan, lanes: readonly PlanLane[]): number | null {
  if (!isByClock(plan)) return null;
  const [first, ...others] = lanes.map(
    ({ marks }) => marks.find((mark) => mark.aspect === aspect)?.at ?? null,
  );
  return first !== undefined && others.every((at) => at === first) ? first : null;
}

interface Props {
  readonly plans: Plans;
  readonly lanes: readonly PlanLane[];
  readonly onChange: (plans: Plans) => void;
}

/** One sentence for each part of the result: of everyone's plan, or of what is set apart for a class, a group or a student. */
export function PlanSentences({ plans, lanes, onChange }: Props) {
  const { zone } = useQuiz().quiz.content;
  const targets = useTargets();
  const all = [...targets.groups, ...targets.students];
  const [who, setWho] = useState<Named | null>(null);
  const { plan, ownPlans } = plans;
  const apart = all.filter((named) => ownPlans.some((own) => same(own.for, named.target)));
  const own: OwnPlan['aspects'] = (who && ownPlans.find((one) => same(one.for, who.target))?.aspects) ?? {};
  const change = (aspect: Aspect, one: AspectPlan | null) => {
    if (who) {
      const { [aspect]: _, ...others } = own;
      onChange(withOwn(plans, who.target, one ? { ...others, [aspect]: one } : others));
    } else if (one) onChange({ plan: { ...plan, aspects: { ...plan.aspects, [aspect]: one } }, ownPlans });
  };
  const theirs = who ? lanes.filter(({ target }) => same(target, who.target)) : lanes;
  const shown = who ? { ...plan, aspects: { ...plan.aspects, ...own } } : plan;
  return (
    <>
      <p className="mt-4 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <label>
          What{' '}
          <TargetChoice
            label="Whose plan is shown"
            nobody="everyone"
            value={who ? keyOf(who) : ''}
            targets={targets}
            onChoose={setWho}
          />{' '}
          will see:
        </label>
        {who === null && apart.length > 0 && (
          <span className="caption">
            Exceptions for{' '}
            {apart.map((named, at) => (
              <span key={keyOf(named)}>
                {at > 0 && ', '}
                <button type="button" className="link-text cursor-pointer" onClick={() => setWho(named)}>
                  {named.name}
                </button>
              </span>
            ))}
          </span>
        )}
      </p>
      <ul className="mt-1.5 border-t border-hair">
        {ASPECTS.map((aspect) =>
          who && !own[aspect] ? (
            <AsForEveryone
              key={aspect}
              sentence={sentenceOf(aspect, plan.aspects[aspect], zone)}
              onApart={() => change(aspect, plan.aspects[aspect])}
            />
          ) : (
            <AspectSentence
              key={aspect}
              aspect={aspect}
              plan={shown}
              target={who?.target ?? null}
              comes={comesAt(aspect, shown.aspects[aspect], theirs)}
              onChange={(one) => change(aspect, one)}
              onWaiting={(whileWaiting) => onChange({ plan: { ...plan, whileWaiting }, ownPlans })}
              onTogether={who ? () => change(aspect, null) : null}
            />
          ),
        )}
      </ul>
    </>
  );
}
