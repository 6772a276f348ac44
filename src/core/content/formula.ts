import { z } from '../zod';
import { LONGEST_FORMULA } from './formulaText';

/** A formula as it was typed, and what was made of it when its text was saved. */
export const Formula = z.strictObject({
  /** As typed, in TeX. */
  tex: z.string().min(1).max(LONGEST_FORMULA),
  /** As it is read aloud. */
  words: z.string().max(4000),
  /** As it is set, in MathML. Whoever draws it takes only elements that draw something. */
  mathml: z.string().max(60_000),
});
export type Formula = z.infer<typeof Formula>;

/** The formulas of a text's owner, each once; where there are none, nothing. */
export const Formulas = z.array(Formula).max(300);
