import { z } from '../zod';
import { LONGEST_FORMULA, type Formula as Data } from './formulaText';

/** A formula as it was typed, and what was made of it when its text was saved. */
export const Formula: z.ZodType<Data> = z.strictObject({
  tex: z.string().min(1).max(LONGEST_FORMULA),
  words: z.string().max(4000),
  /** Whoever draws it takes only elements that draw something. */
  mathml: z.string().max(60_000),
});
export type Formula = Data;

/** The formulas of a text's owner, each once; where there are none, nothing. */
export const Formulas = z.array(Formula).max(300);
