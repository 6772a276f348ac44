import { Id, questionBase } from '../../content/questionBase';
import { z } from '../../zod';
import { Option, ShownOption } from '../shared/pick/option';

/** Pick one: exactly one option is chosen. */
export const PickOneQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('pickOne'),
  options: z.array(Option).max(100),
  /** Whether each student meets the options in an order of their own; null: as the quiz says. */
  shuffled: z.boolean().nullable(),
});
export type PickOneQuestion = z.infer<typeof PickOneQuestion>;

/** The chosen option. */
export const PickOneAnswer = z.strictObject({ kind: z.literal('pickOne'), option: Id });
export type PickOneAnswer = z.infer<typeof PickOneAnswer>;

/** What a student is shown of the question besides its text. */
export const PickOneFace = z.strictObject({
  kind: z.literal('pickOne'),
  options: z.array(ShownOption),
});
export type PickOneFace = z.infer<typeof PickOneFace>;
