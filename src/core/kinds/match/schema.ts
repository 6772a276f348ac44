import { Feedback } from '../../content/feedback';
import { Picture } from '../../content/picture';
import { Id, Lambda, Weight, questionBase } from '../../content/questionBase';
import { z } from '../../zod';

const Item = { id: Id, text: z.string().max(2000), picture: Picture.nullable() };

/** Match: items on the left, and the partner on the right that each belongs to; null for one that belongs to none. */
export const MatchQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('match'),
  items: z
    .array(z.strictObject({ ...Item, partner: Id.nullable(), weight: Weight, feedback: Feedback }))
    .max(100),
  partners: z.array(z.strictObject(Item)).max(100),
  model: z.enum(['allOrNothing', 'shareRight', 'rightMinusWrong', 'pairWeights']),
  lambda: Lambda,
});
export type MatchQuestion = z.infer<typeof MatchQuestion>;

/** Which right-hand item was given to each left one; `none` where it is said to have no partner. */
export const MatchAnswer = z.strictObject({
  kind: z.literal('match'),
  pairs: z.record(Id, Id).refine((pairs) => Object.keys(pairs).length <= 100, 'At most 100 pairs'),
});
export type MatchAnswer = z.infer<typeof MatchAnswer>;

const Shown = z.array(z.strictObject({ id: Id, text: z.string(), picture: Picture.nullable() }));
export const MatchFace = z.strictObject({
  kind: z.literal('match'),
  items: Shown,
  partners: Shown,
  /** Whether some item belongs to none: then that can be said of any. */
  withNone: z.boolean(),
});
export type MatchFace = z.infer<typeof MatchFace>;
