import { FractionData } from '../figures/schema';
import { z } from '../zod';

/** Places and shapes on a picture, in shares of its width and height. */

/** A share of the picture's width or height, 0 … 1. */
const Part = FractionData.refine((value) => value.n >= 0 && value.n <= value.d, 'A place within the picture');
export const Point = z.strictObject({ x: Part, y: Part });
export type Point = z.infer<typeof Point>;

const box = { left: Part, top: Part, width: Part, height: Part };
export const Shape = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle'), ...box }),
  /** The ellipse that fills its box. */
  z.strictObject({ kind: z.literal('ellipse'), ...box }),
  /** Even-odd, closed from the last corner to the first. */
  z.strictObject({ kind: z.literal('polygon'), corners: z.array(Point).min(3).max(100) }),
]);
export type Shape = z.infer<typeof Shape>;
