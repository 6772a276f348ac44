import { Instant } from '../../figures/instant';
import { Id } from '../../content/questionBase';
import { z } from '../../zod';
import { Target, TargetOrAll } from '../people/target';

/** The parts of a result that can be shown, in the order in which a slip has them. */
export const ASPECTS = [
  'score',
  'rightWrong',
  'questions',
  'ownAnswers',
  'feedback',
  'rightAnswers',
  'comments',
  'classDid',
] as const;
export const Aspect = z.enum(ASPECTS);
export type Aspect = z.infer<typeof Aspect>;

/** The aspect without which another one says nothing: that one waits for all that this one waits for. */
export const NEEDS: Readonly<Partial<Record<Aspect, Aspect>>> = {
  ownAnswers: 'questions',
  feedback: 'questions',
  rightAnswers: 'questions',
};

/** Aspects that speak of single questions, and can be kept to those that were not fully right. */
export const FILTERED = ['rightWrong', 'questions', 'ownAnswers', 'feedback', 'rightAnswers'] as const;
export type Filtered = (typeof FILTERED)[number];
export const isFiltered = (aspect: Aspect): aspect is Filtered =>
  (FILTERED as readonly Aspect[]).includes(aspect);

/** How much later than what is waited for: minutes and hours elapse, days keep the time on the wall. */
export const Delay = z.strictObject({
  amount: z.number().int().min(1).max(10_000),
  unit: z.enum(['minute', 'hour', 'day']),
});
export type Delay = z.infer<typeof Delay>;

/** Of whom *everyone* is said: all, the student's class, or the student's group. */
export const SCOPES = ['all', 'class', 'group'] as const;
const Scope = z.enum(SCOPES);
export type Scope = z.infer<typeof Scope>;

const delay = Delay.nullable();

/** What an aspect can wait for. */
export const Condition = z.discriminatedUnion('when', [
  /** The hand-in of this attempt. */
  z.strictObject({ when: z.literal('handedIn'), delay }),
  /** The end of the student's own window. */
  z.strictObject({ when: z.literal('closed'), delay }),
  /** The end of the last window. */
  z.strictObject({ when: z.literal('allClosed'), scope: Scope, delay }),
  /** Everyone's first hand-in, or that they can hand in no more. */
  z.strictObject({ when: z.literal('allDone'), scope: Scope, delay }),
  z.strictObject({ when: z.literal('date'), at: Instant }),
  /** That nothing in this attempt waits for the teacher. */
  z.strictObject({ when: z.literal('marked'), delay }),
  /** That the student can hand in no more. */
  z.strictObject({ when: z.literal('lastAttempt'), delay }),
  /** The teacher's own press. */
  z.strictObject({ when: z.literal('byTeacher'), delay }),
]);
export type Condition = z.infer<typeof Condition>;
export type When = Condition['when'];
/** All that can be waited for. */
export const WHENS = [
  'handedIn',
  'closed',
  'allClosed',
  'allDone',
  'date',
  'marked',
  'lastAttempt',
  'byTeacher',
] as const satisfies readonly When[];

/** When an aspect is shown: once all of its conditions hold, or never; and of which questions. */
export const AspectPlan = z.strictObject({
  when: z.union([z.literal('never'), z.array(Condition).min(1).max(8)]),
  only: z.enum(['all', 'notFullyRight']),
});
export type AspectPlan = z.infer<typeof AspectPlan>;

const aspects = {
  score: AspectPlan,
  rightWrong: AspectPlan,
  questions: AspectPlan,
  ownAnswers: AspectPlan,
  feedback: AspectPlan,
  rightAnswers: AspectPlan,
  comments: AspectPlan,
  classDid: AspectPlan,
};

/** When each aspect of a result is shown, unless somebody has a plan of their own. */
export const RevealPlan = z.strictObject({
  aspects: z.strictObject(aspects),
  /** Whether the score is shown while answers wait for the teacher, or held back until nothing does. */
  whileWaiting: z.enum(['soFar', 'heldBack']),
});
export type RevealPlan = z.infer<typeof RevealPlan>;

/** A plan of a class, a group or a student: what it says nothing of is as for everyone. */
export const OwnPlan = z.strictObject({
  id: Id,
  for: Target,
  aspects: z.strictObject(aspects).partial(),
});
export type OwnPlan = z.infer<typeof OwnPlan>;

/** What the teacher showed or took back, to whom and when. */
export const RevealAct = z.strictObject({
  id: Id,
  at: Instant,
  act: z.enum(['show', 'takeBack']),
  aspects: z.array(Aspect).min(1).max(ASPECTS.length),
  to: TargetOrAll,
});
export type RevealAct = z.infer<typeof RevealAct>;

/**
 * An *everyone* condition that held before something was done for one student: it is kept as held for those who can hand
 * in no more.
 */
export const Kept = z.strictObject({
  when: z.enum(['allClosed', 'allDone']),
  scope: Scope,
  /** Whose everyone it was: see `scopeKey`. */
  of: z.string().max(2000),
  since: Instant,
});
export type Kept = z.infer<typeof Kept>;

/** A condition without a delay: what most of them are. */
export const at = (when: 'handedIn' | 'closed' | 'marked' | 'lastAttempt' | 'byTeacher'): Condition => ({
  when,
  delay: null,
});

/** An aspect of all questions that waits for these conditions. */
export const waitsFor = (...conditions: readonly Condition[]): AspectPlan => ({
  when: [...conditions],
  only: 'all',
});

export const NEVER: AspectPlan = { when: 'never', only: 'all' };

/** A plan that says the same of every aspect, but for those that are named. */
export const planOf = (rest: AspectPlan, more: Partial<RevealPlan['aspects']> = {}): RevealPlan => ({
  aspects: {
    ...(Object.fromEntries(ASPECTS.map((aspect) => [aspect, rest])) as RevealPlan['aspects']),
    ...more,
  },
  whileWaiting: 'soFar',
});
