import { Feedback } from '../../content/feedback';
import { Picture } from '../../content/picture';
import { Id, Lambda, questionBase } from '../../content/questionBase';
import { z } from '../../zod';

const Item = { id: Id, text: z.string().max(2000), picture: Picture.nullable() };

/** Sort into boxes: items, and the boxes in which each is right; none for one that belongs nowhere. */
export const BoxesQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('boxes'),
  boxes: z.array(z.strictObject({ id: Id, text: z.string().max(2000) })).max(30),
  items: z.array(z.strictObject({ ...Item, boxes: z.array(Id).max(30), feedback: Feedback })).max(100),
  model: z.enum(['allOrNothing', 'shareRight', 'rightMinusWrong']),
  lambda: Lambda,
});
export type BoxesQuestion = z.infer<typeof BoxesQuestion>;

/** The box into which each item was put; `none` where it is said to belong in none. */
export const BoxesAnswer = z.strictObject({
  kind: z.literal('boxes'),
  placed: z.record(Id, Id).refine((placed) => Object.keys(placed).length <= 100, 'At most 100 items'),
});
export type BoxesAnswer = z.infer<typeof BoxesAnswer>;

export const BoxesFace = z.strictObject({
  kind: z.literal('boxes'),
  boxes: z.array(z.strictObject({ id: Id, text: z.string() })),
  items: z.array(z.strictObject({ id: Id, text: z.string(), picture: Picture.nullable() })),
  /** Whether some item belongs in none: then that can be said of any. */
  withNone: z.boolean(),
});
export type BoxesFace = z.infer<typeof BoxesFace>;
