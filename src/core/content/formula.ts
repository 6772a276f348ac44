import { z } from '../zod';
import { LONGEST_FORMULA, type Formula as Data } from './formulaText';

/** Deeper than what comes of the longest formula: whoever draws it goes down level by level. */
const DEEPEST = 400;

/** How deep the elements of a markup lie in each other, by its tags alone. */
export function depthOf(markup: string): number {
  let depth = 0;
  let deepest = 0;
  for (const [tag] of markup.matchAll(/<[^>]*>/g)) {
    if (tag.startsWith('</')) depth--;
    else if (!/^<[!?]|\/>$/.test(tag)) deepest = Math.max(deepest, ++depth);
  }
  return deepest;
}

/** A formula as it was typed, and what was made of it when its text was saved. */
export const Formula: z.ZodType<Data> = z.strictObject({
  tex: z.string().min(1).max(LONGEST_FORMULA),
  words: z.string().max(4000),
  /** Whoever draws it takes only elements that draw something. */
  mathml: z
    .string()
    .max(60_000)
    .refine((markup) => depthOf(markup) <= DEEPEST, 'Nested too deeply'),
});
export type Formula = Data;

/** The formulas of a text's owner, each once; where there are none, nothing. */
export const Formulas = z.array(Formula).max(300);
