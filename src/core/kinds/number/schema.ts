import { numberKey } from '../../answers/number/schema';
import { questionBase } from '../../content/questionBase';
import { z } from '../../zod';
import { Unmatched } from '../shared/textKey/schema';

/** Number: a typed number, judged by its exact value, its form and its unit. */
export const NumberQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('number'),
  ...numberKey,
  unmatched: Unmatched,
});
export type NumberQuestion = z.infer<typeof NumberQuestion>;

export const NumberAnswer = z.strictObject({ kind: z.literal('number'), text: z.string().max(1000) });
export type NumberAnswer = z.infer<typeof NumberAnswer>;

/** What a student is shown of the question besides its text. */
export const NumberFace = z.strictObject({ kind: z.literal('number') });
export type NumberFace = z.infer<typeof NumberFace>;
