import { z } from '../zod';

/** A fraction as it is stored and read: see `fraction.ts`. */
export const FractionData = z.strictObject({
  n: z.number().int().min(-1e12).max(1e12),
  d: z.number().int().min(1).max(1e6),
});
export type FractionData = z.infer<typeof FractionData>;
