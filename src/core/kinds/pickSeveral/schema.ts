import { Clip } from '../../content/clip';
import { Feedback } from '../../content/feedback';
import { Picture } from '../../content/picture';
import { Credit, Id, Lambda, questionBase } from '../../content/questionBase';
import { z } from '../../zod';
import { ShownOption } from '../shared/pick/option';
import { PickModel } from '../shared/pick/pickModel';

/** An option among several: right or not, and its weight where options have weights of their own. */
export const SeveralOption = z.strictObject({
  id: Id,
  text: z.string().max(2000),
  picture: Picture.nullable(),
  /** A sound or a film that is part of it; absent without one. */
  clip: Clip.optional(),
  right: z.boolean(),
  weight: Credit,
  feedback: Feedback,
  /** What is read by who did not tick it although it is right. */
  missed: Feedback,
  gone: z.boolean(),
  /** Whether it keeps its place where options are shuffled. */
  keepsPlace: z.boolean(),
});
export type SeveralOption = z.infer<typeof SeveralOption>;

/** Pick several: every right option, and no other. */
export const PickSeveralQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('pickSeveral'),
  options: z.array(SeveralOption).max(100),
  /** Whether each student meets the options in an order of their own; null: as the quiz says. */
  shuffled: z.boolean().nullable(),
  model: PickModel,
  lambda: Lambda,
});
export type PickSeveralQuestion = z.infer<typeof PickSeveralQuestion>;

export const PickSeveralAnswer = z.strictObject({
  kind: z.literal('pickSeveral'),
  options: z.array(Id).max(100),
});
export type PickSeveralAnswer = z.infer<typeof PickSeveralAnswer>;

export const PickSeveralFace = z.strictObject({
  kind: z.literal('pickSeveral'),
  options: z.array(ShownOption),
});
export type PickSeveralFace = z.infer<typeof PickSeveralFace>;
