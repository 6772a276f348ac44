import { isZone } from '../figures/wallClock';
import { Share } from '../kinds/base';
import { z } from '../zod';

/** Rules of a quiz over whole attempts. */

/** How many times a student may sit the quiz, and which of the attempts the recorded score comes from. */
export const AttemptRule = z.strictObject({
  /** null: as often as the window allows. */
  most: z.number().int().min(1).max(50).nullable(),
  counts: z.enum(['best', 'latest', 'first', 'mean']),
});
export type AttemptRule = z.infer<typeof AttemptRule>;

/** What being late takes off: of the points that were earned, or of those that were possible. */
const base = z.enum(['earned', 'possible']);

/** What work handed in after the due time loses. */
export const LateRule = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('free') }),
  /** Each started hour or calendar day costs a share, at most `cap`. */
  z.strictObject({
    kind: z.literal('steps'),
    step: z.enum(['hour', 'day']),
    share: Share,
    of: base,
    cap: Share.nullable(),
  }),
  /** Up to so many calendar days late costs so much; the last row goes on. */
  z.strictObject({
    kind: z.literal('table'),
    rows: z
      .array(z.strictObject({ days: z.number().int().min(1).max(1000), share: Share }))
      .min(1)
      .max(50)
      .refine((rows) => rows.every((row, at) => at === 0 || row.days > (rows[at - 1]?.days ?? 0)), {
        message: 'The days of a table go up from row to row',
      }),
    of: base,
  }),
]);
export type LateRule = z.infer<typeof LateRule>;

export const Zone = z.string().max(60).refine(isZone, 'A time zone such as Europe/Berlin');
