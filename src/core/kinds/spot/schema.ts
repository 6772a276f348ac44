import { Feedback } from '../../content/feedback';
import { Picture } from '../../content/picture';
import { Point, Shape } from '../../content/shape';
import { Id, Lambda, Share, questionBase } from '../../content/questionBase';
import { z } from '../../zod';

export type { Point, Shape };

const Area = z.strictObject({
  id: Id,
  name: z.string().max(300),
  shape: Shape,
  credit: Share,
  feedback: Feedback,
});
export type Area = z.infer<typeof Area>;

/** Spot on a picture: so many spots are set, each in an area. */
export const SpotQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('spot'),
  picture: Picture.nullable(),
  areas: z.array(Area).max(50),
  /** How many spots are asked for. */
  asked: z.number().int().min(1).max(50),
  lambda: Lambda,
  /** How wide the rim around an area is, as a share of the picture's shorter side, and what a spot in it earns. */
  rim: z.strictObject({ width: Share, share: Share }).nullable(),
});
export type SpotQuestion = z.infer<typeof SpotQuestion>;

/** The spots in the order in which they were set. */
export const SpotAnswer = z.strictObject({ kind: z.literal('spot'), spots: z.array(Point).max(100) });
export type SpotAnswer = z.infer<typeof SpotAnswer>;

export const SpotFace = z.strictObject({
  kind: z.literal('spot'),
  picture: Picture.nullable(),
  asked: z.number().int(),
});
export type SpotFace = z.infer<typeof SpotFace>;
