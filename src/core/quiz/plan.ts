import { z } from '../zod';

/** The parts of a result that can be shown, in the order in which a slip has them. */
export const ASPECTS = ['score', 'rightWrong', 'ownAnswers', 'feedback', 'rightAnswers', 'comments'] as const;
export const Aspect = z.enum(ASPECTS);
export type Aspect = z.infer<typeof Aspect>;

/** What an aspect waits for: the hand-in, the end of the window, or the teacher's own press. */
export const Condition = z.enum(['handedIn', 'closed', 'byTeacher']);
export type Condition = z.infer<typeof Condition>;

/** When each aspect is shown. An aspect without a condition of its own is never shown. */
export const RevealPlan = z.strictObject({
  score: Condition.or(z.literal('never')),
  rightWrong: Condition.or(z.literal('never')),
  ownAnswers: Condition.or(z.literal('never')),
  feedback: Condition.or(z.literal('never')),
  rightAnswers: Condition.or(z.literal('never')),
  comments: Condition.or(z.literal('never')),
});
export type RevealPlan = z.infer<typeof RevealPlan>;
