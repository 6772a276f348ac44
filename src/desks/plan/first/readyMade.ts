import { same } from '@/core/figures/deepEqual';
import { DEFAULT_PLAN } from '@/core/quiz/plan/defaultPlan';
import { at, NEVER, planOf, waitsFor, type RevealPlan } from '@/core/quiz/plan/plan';

/** A plan that is chosen by one press. */
export interface ReadyMade {
  readonly name: 'usual' | 'onHandIn' | 'afterClosing' | 'byTeacher';
  readonly title: string;
  /** What it gives away, or asks of the teacher; empty where nothing. */
  readonly costs: string;
  readonly plan: RevealPlan;
}

export const READY_MADE: readonly ReadyMade[] = [
  {
    name: 'usual',
    title: 'Score and feedback on hand-in, right answers after closing',
    costs: '',
    plan: DEFAULT_PLAN,
  },
  {
    name: 'onHandIn',
    title: 'Everything on hand-in',
    costs: 'early students can pass the right answers on',
    plan: planOf(waitsFor(at('handedIn')), { classDid: NEVER }),
  },
  {
    name: 'afterClosing',
    title: 'Everything after closing',
    costs: 'nobody sees anything before',
    plan: planOf(waitsFor({ when: 'allClosed', scope: 'all', delay: null }), { classDid: NEVER }),
  },
  {
    name: 'byTeacher',
    title: 'Everything when I choose',
    costs: 'nobody sees anything until you show it',
    plan: planOf(waitsFor(at('byTeacher')), { classDid: NEVER }),
  },
];

/** Which of the ready-made plans a plan is; null where it is none of them. */
export const readyMadeOf = ({ aspects }: RevealPlan): ReadyMade | null =>
  READY_MADE.find(({ plan }) => same(plan.aspects, aspects)) ?? null;
