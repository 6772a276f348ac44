import { Clip } from '../../../content/clip';
import { Feedback } from '../../../content/feedback';
import { Picture } from '../../../content/picture';
import { Credit, Id } from '../../../content/questionBase';
import { z } from '../../../zod';

/** Something to choose, with what choosing it earns. */
export const Option = z.strictObject({
  id: Id,
  text: z.string().max(2000),
  picture: Picture.nullable(),
  /** A sound or a film that is part of it; absent without one. */
  clip: Clip.optional(),
  /** Share of the points for choosing it. */
  credit: Credit,
  feedback: Feedback,
  /** What is read by who did not choose it although it is right. */
  missed: Feedback,
  /** Taken off the question after students had seen it: kept so that old answers still read. */
  gone: z.boolean(),
  /** Whether it keeps its place where options are shuffled: “none of these” at the end. */
  keepsPlace: z.boolean(),
});
export type Option = z.infer<typeof Option>;

/** What a student is shown of an option. */
export const ShownOption = z.strictObject({
  id: Id,
  text: z.string(),
  picture: Picture.nullable(),
  clip: Clip.optional(),
});
export type ShownOption = z.infer<typeof ShownOption>;

/** An option without anything that tells what choosing it earns. */
export const asShown = ({ id, text, picture, clip }: ShownOption): ShownOption => ({
  id,
  text,
  picture,
  ...(clip && { clip }),
});
