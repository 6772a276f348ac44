import { Feedback } from '../../content/feedback';
import { Credit, questionBase } from '../../content/questionBase';
import { z } from '../../zod';

const Side = z.strictObject({ credit: Credit, feedback: Feedback });

/** True or false: what each of the two earns. */
export const TrueFalseQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('trueFalse'),
  whenTrue: Side,
  whenFalse: Side,
});
export type TrueFalseQuestion = z.infer<typeof TrueFalseQuestion>;

export const TrueFalseAnswer = z.strictObject({ kind: z.literal('trueFalse'), value: z.boolean() });
export type TrueFalseAnswer = z.infer<typeof TrueFalseAnswer>;

export const TrueFalseFace = z.strictObject({ kind: z.literal('trueFalse') });
export type TrueFalseFace = z.infer<typeof TrueFalseFace>;
