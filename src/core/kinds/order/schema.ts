import { Picture } from '../../content/picture';
import { Id, Share, questionBase } from '../../content/questionBase';
import { z } from '../../zod';

const Item = z.strictObject({ id: Id, text: z.string().max(2000), picture: Picture.nullable() });

/** How an order earns part of the points. */
export const OrderModel = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('allOrNothing') }),
  z.strictObject({ kind: z.literal('rightPlaces') }),
  z.strictObject({ kind: z.literal('neighbours') }),
  /** L/n for the longest run of L, nothing below the least; or a table of credits by L. */
  z.strictObject({
    kind: z.literal('longestRun'),
    least: z.number().int().min(1).max(100),
    table: z
      .array(z.strictObject({ run: z.number().int().min(1).max(100), credit: Share }))
      .max(100)
      .nullable(),
  }),
  z.strictObject({ kind: z.literal('keptOrder') }),
  z.strictObject({ kind: z.literal('pairsInOrder') }),
]);
export type OrderModel = z.infer<typeof OrderModel>;

/** Put in order: items, in the order that is right. */
export const OrderQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('order'),
  items: z.array(Item).max(60),
  model: OrderModel,
});
export type OrderQuestion = z.infer<typeof OrderQuestion>;

/** The items in the places the student gave them; null for an empty place. */
export const OrderAnswer = z.strictObject({
  kind: z.literal('order'),
  places: z.array(Id.nullable()).max(60),
  /** Whether anything was moved, or the order as shown confirmed. */
  touched: z.boolean(),
});
export type OrderAnswer = z.infer<typeof OrderAnswer>;

export const OrderFace = z.strictObject({ kind: z.literal('order'), items: z.array(Item) });
export type OrderFace = z.infer<typeof OrderFace>;
