import { isZone } from '../figures/wallClock';
import { Points, Share } from '../content/questionBase';
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

/** The hours of a row of a table, a calendar day for 24: by these its rows go up. */
export const hoursOf = (
  row: { readonly within: number; readonly unit: 'hour' | 'day' } | undefined,
): number => (row ? row.within * (row.unit === 'day' ? 24 : 1) : 0);

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
  /** Up to so many hours or calendar days late costs so much, a longer time in each row; the last row goes on. */
  z.strictObject({
    kind: z.literal('table'),
    rows: z
      .array(
        z.strictObject({
          within: z.number().int().min(1).max(1000),
          unit: z.enum(['hour', 'day']),
          share: Share,
        }),
      )
      .min(1)
      .max(50)
      .refine((rows) => rows.every((row, at) => at === 0 || hoursOf(row) > hoursOf(rows[at - 1])), {
        message: 'The times of a table go up from row to row',
      }),
    of: base,
  }),
]);
export type LateRule = z.infer<typeof LateRule>;

/** To what the recorded score is rounded, in steps to a point; null: not at all. */
const RoundingSteps = z.union([z.literal(1), z.literal(2), z.literal(10), z.literal(100)]).nullable();

/** How the sum of a paper becomes its score: see `docs/marking.md`, the way of a score. */
export const ScoreRules = z.strictObject({
  /** Whether a sum below 0 becomes 0. */
  floor: z.boolean(),
  /** What each repeated attempt loses of its sum, down to a least share; null: nothing. */
  repeat: z.strictObject({ price: Share, least: Share }).nullable(),
  /** Whether bonus points may lift a score above the maximum. */
  bonusLifts: z.boolean(),
  /** Scores are given out of so many points; null: out of the paper's own. */
  outOf: Points.refine((points) => points.n > 0, 'More than 0').nullable(),
  rounding: RoundingSteps,
});
export type ScoreRules = z.infer<typeof ScoreRules>;

export const Zone = z.string().max(60).refine(isZone, 'A time zone such as Europe/Berlin');
