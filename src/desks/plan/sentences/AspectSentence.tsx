import { useRef } from 'react';
import { flushSync } from 'react-dom';
import { X } from '@/ui/widgets/icons';
import {
  NEEDS,
  isFiltered,
  type Aspect,
  type AspectPlan,
  type Condition,
  type RevealPlan,
} from '@/core/quiz/plan/plan';
import type { Target } from '@/core/quiz/people/target';
import { same } from '@/core/figures/deepEqual';
import { now } from '@/device/clock';
import { useQuiz } from '@/ui/teacher/quizContext';
import { ASPECT_NAMES } from '@/ui/words/aspectNames';
import { fromWallField, toWallField } from '@/ui/words/wallField';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { ByHand } from './ByHand';
import {
  CHOICES,
  choiceOf,
  conditionOf,
  DELAYS,
  delayWords,
  NEVER_SHOWN,
  ONLY,
  SUBJECTS,
  type Choice,
} from './conditionWords';

const DAY = 86_400_000;

interface ConditionProps {
  readonly subject: string;
  readonly condition: Condition;
  readonly index: number;
  readonly onChange: (condition: Condition) => void;
  readonly onNever: () => void;
  readonly onRemove: (() => void) | null;
}

/** The date that a condition waits for, by the quiz's own clock. */
function DateField({
  subject,
  condition,
  onChange,
}: Pick<ConditionProps, 'subject' | 'onChange'> & {
  readonly condition: Extract<Condition, { when: 'date' }>;
}) {
  const { zone } = useQuiz().quiz.content;
  return (
    <input
      type="datetime-local"
      className="input mx-1 h-8"
      aria-label={`${subject}: the date`}
      defaultValue={toWallField(condition.at, zone)}
      onChange={(event) => {
        const at = fromWallField(event.target.value, zone);
        if (!Number.isNaN(at)) onChange({ when: 'date', at });
      }}
    />
  );
}

/** One thing that is waited for, and how long after it. */
function OneCondition({ subject, condition, index, onChange, onNever, onRemove }: ConditionProps) {
  const delay = condition.when === 'date' ? null : condition.delay;
  const also = index === 0 ? '' : `, condition ${index + 1}`;
  const delays = DELAYS.some((one) => same(one, delay)) ? DELAYS : [...DELAYS, delay];
  return (
    <span>
      {index > 0 && ' and '}
      <select
        className="sentence-part"
        aria-label={`${subject}${also}`}
        data-condition
        value={choiceOf(condition)}
        onChange={({ target }) =>
          target.value === 'never'
            ? onNever()
            : onChange(conditionOf(target.value as Choice, delay, Math.ceil((now() + DAY) / 60_000) * 60_000))
        }
      >
        {Object.entries(CHOICES).map(([choice, words]) => (
          <option key={choice} value={choice}>
            {words}
          </option>
        ))}
        {index === 0 && <option value="never">never</option>}
      </select>
      {condition.when === 'date' ? (
        <DateField subject={subject} condition={condition} onChange={onChange} />
      ) : (
        condition.when !== 'byTeacher' && (
          <>
            ,{' '}
            <select
              className={`sentence-part ${delay ? '' : 'font-normal'}`}
              aria-label={`${subject}${also}: how much later`}
              value={JSON.stringify(delay)}
              onChange={(event) =>
                onChange({ ...condition, delay: JSON.parse(event.target.value) as typeof delay })
              }
            >
              {delays.map((one) => (
                <option key={JSON.stringify(one)} value={JSON.stringify(one)}>
                  {delayWords(one)}
                </option>
              ))}
            </select>
          </>
        )
      )}
      {onRemove && (
        <button
          type="button"
          className="ml-1 inline-grid size-[26px] cursor-pointer place-items-center rounded align-middle text-soft hover:text-ink"
          aria-label={`${subject}${also}: remove this condition`}
          onClick={onRemove}
        >
          <X size={15} aria-hidden />
        </button>
      )}
    </span>
  );
}

interface Props {
  readonly aspect: Aspect;
  readonly plan: RevealPlan;
  /** Whose plan it is; null: everyone's. */
  readonly target: Target | null;
  /** When that is for all of them; null where it is not known, or differs. */
  readonly comes: number | null;
  readonly onChange: (plan: AspectPlan) => void;
  readonly onWaiting: (waiting: RevealPlan['whileWaiting']) => void;
  /** Makes it as for everyone again; null where it is everyone's. */
  readonly onTogether: (() => void) | null;
}

/** What an aspect also waits for, because it says nothing without it. */
function AlsoWaits({ aspect, plan }: Pick<Props, 'aspect' | 'plan'>) {
  const needed = NEEDS[aspect];
  const own = plan.aspects[aspect].when;
  if (!needed || own === 'never') return null;
  const { when } = plan.aspects[needed];
  if (when === 'never')
    return (
      <p className="caption !text-saffron-text">
        The {ASPECT_NAMES[needed]} never appear, so this never does.
      </p>
    );
  const isPlain = (one: Condition) => one.when === 'handedIn' && one.delay === null;
  const adds = when.some((one) => !isPlain(one) && !own.some((known) => same(known, one)));
  return adds ? <p className="caption">It waits for the {ASPECT_NAMES[needed]} as well.</p> : null;
}

/** When one part of the result is shown, as a sentence whose parts can be changed. */
export function AspectSentence({ aspect, plan, target, comes, onChange, onWaiting, onTogether }: Props) {
  const { when, only } = plan.aspects[aspect];
  const subject = SUBJECTS[aspect];
  const { zone } = useQuiz().quiz.content;
  const change = (conditions: Condition[]) => onChange({ only, when: conditions });
  const line = useRef<HTMLLIElement>(null);
  /** What adds or takes away a condition hands the focus to the last one. */
  const changeAndGo = (conditions: Condition[]) => {
    flushSync(() => change(conditions));
    [...(line.current?.querySelectorAll<HTMLElement>('[data-condition]') ?? [])].at(-1)?.focus();
  };
  const isByHand = when !== 'never' && when.some((one) => one.when === 'byTeacher');
  return (
    <li ref={line} className="border-b border-hair py-2.5 text-[16px] leading-relaxed">
      {when === 'never' ? NEVER_SHOWN[aspect] : subject}{' '}
      {when === 'never' ? (
        <select
          className="sentence-part"
          aria-label={subject}
          value="never"
          onChange={({ target }) => change([conditionOf(target.value as Choice, null, now() + DAY)])}
        >
          {Object.entries(CHOICES).map(([choice, words]) => (
            <option key={choice} value={choice}>
              {words}
            </option>
          ))}
          <option value="never">never</option>
        </select>
      ) : (
        when.map((condition, index) => (
          <OneCondition
            key={index}
            subject={subject}
            condition={condition}
            index={index}
            onChange={(next) => change(when.map((one, at) => (at === index ? next : one)))}
            onNever={() => onChange({ only, when: 'never' })}
            onRemove={when.length > 1 ? () => changeAndGo(when.filter((_, at) => at !== index)) : null}
          />
        ))
      )}
      {when !== 'never' && isFiltered(aspect) && (
        <>
          , for{' '}
          <span className="sentence-end">
            <select
              className={`sentence-part ${only === 'all' ? 'font-normal' : ''}`}
              aria-label={`${subject}: for which questions`}
              value={only}
              onChange={(event) => onChange({ when, only: event.target.value as AspectPlan['only'] })}
            >
              {Object.entries(ONLY).map(([name, words]) => (
                <option key={name} value={name}>
                  {words}
                </option>
              ))}
            </select>
            .
          </span>
        </>
      )}
      {when !== 'never' && aspect === 'score' && target === null && (
        <>
          ,{' '}
          <span className="sentence-end">
            <select
              className={`sentence-part ${plan.whileWaiting === 'soFar' ? 'font-normal' : ''}`}
              aria-label="The score until I finish marking"
              value={plan.whileWaiting}
              onChange={(event) => onWaiting(event.target.value as RevealPlan['whileWaiting'])}
            >
              <option value="soFar">so far, until I finish marking</option>
              <option value="heldBack">but only once I have finished marking</option>
            </select>
            .
          </span>
        </>
      )}
      {when === 'never' && ' shown'}
      {(when === 'never' || (!isFiltered(aspect) && (aspect !== 'score' || target !== null))) && '.'}
      {comes !== null && <span className="figures ml-2 text-soft">{dayAndTimeIn(comes, zone)}</span>}
      {when !== 'never' && when.length < 4 && (
        <button
          type="button"
          className="link-text ml-3 cursor-pointer text-[13.5px]"
          onClick={() => changeAndGo([...when, { when: 'allClosed', scope: 'all', delay: null }])}
        >
          and …<span className="sr-only"> ({subject}: one more condition)</span>
        </button>
      )}
      {onTogether && (
        <button type="button" className="link-text ml-3 cursor-pointer text-[13.5px]" onClick={onTogether}>
          As for everyone<span className="sr-only">: {subject}</span>
        </button>
      )}
      {isByHand && <ByHand aspect={aspect} plan={plan} target={target} />}
      <AlsoWaits aspect={aspect} plan={plan} />
    </li>
  );
}
