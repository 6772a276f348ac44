import { z } from '../../zod';
import { Feedback } from '../../quiz/feedback';
import { Picture } from '../../quiz/picture';
import { Credit, Id, questionBase } from '../base';

const Option = z.strictObject({
  id: Id,
  text: z.string().max(2000),
  picture: Picture.nullable(),
  /** Share of the points for choosing it. */
  credit: Credit,
  feedback: Feedback,
  /** Taken off the question after students had seen it: kept so that old answers still read. */
  gone: z.boolean(),
});
export type Option = z.infer<typeof Option>;

/** Pick one: exactly one option is chosen. */
export const PickOneQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('pickOne'),
  options: z.array(Option).max(100),
});
export type PickOneQuestion = z.infer<typeof PickOneQuestion>;

/** The chosen option, or words from a file that name none of the options. */
export const PickOneAnswer = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('pickOne'), option: Id }),
  z.strictObject({ kind: z.literal('pickOneOther'), text: z.string().max(10_000) }),
]);
export type PickOneAnswer = z.infer<typeof PickOneAnswer>;

/** What a student is shown of the question besides its text. */
export const PickOneFace = z.strictObject({
  kind: z.literal('pickOne'),
  options: z.array(z.strictObject({ id: Id, text: z.string(), picture: Picture.nullable() })),
});
export type PickOneFace = z.infer<typeof PickOneFace>;
