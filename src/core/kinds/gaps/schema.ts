import { numberKey } from '../../answers/number/schema';
import { TextSettings } from '../../answers/text/settings';
import { Feedback } from '../../content/feedback';
import { Credit, Id, Weight, questionBase } from '../../content/questionBase';
import { z } from '../../zod';
import { Unmatched, Variant } from '../shared/textKey/schema';

const base = { id: Id, weight: Weight };

const TextGap = z.strictObject({
  ...base,
  type: z.literal('text'),
  settings: TextSettings,
  variants: z.array(Variant).max(100),
  unmatched: Unmatched,
});
const NumberGap = z.strictObject({ ...base, type: z.literal('number'), ...numberKey, unmatched: Unmatched });
const ListGap = z.strictObject({
  ...base,
  type: z.literal('list'),
  options: z
    .array(z.strictObject({ id: Id, text: z.string().max(500), credit: Credit, feedback: Feedback }))
    .max(50),
});
/** Filled from the bank: what each of its words earns here; a word that is not named earns nothing. */
const BankGap = z.strictObject({
  ...base,
  type: z.literal('bank'),
  words: z.array(z.strictObject({ word: Id, credit: Credit, feedback: Feedback })).max(50),
});
/** Takes an idea of the pool. */
const PoolGap = z.strictObject({ ...base, type: z.literal('pool') });

const Gap = z.discriminatedUnion('type', [TextGap, NumberGap, ListGap, BankGap, PoolGap]);
export type Gap = z.infer<typeof Gap>;

/** An idea of the pool: a set of variants with credits. */
const Idea = z.strictObject({ id: Id, variants: z.array(Variant).max(100) });
export type Idea = z.infer<typeof Idea>;

/** Gaps: a passage with gaps that are typed, picked from a list, or filled from a bank or a pool of ideas. */
export const GapsQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('gaps'),
  /** Text and gaps in turn. */
  passage: z
    .array(z.union([z.strictObject({ text: z.string().max(10_000) }), z.strictObject({ gap: Id })]))
    .max(400),
  gaps: z.array(Gap).max(60),
  /** Words of the bank, each as often as it may be used. */
  bank: z
    .array(z.strictObject({ id: Id, text: z.string().max(500), times: z.number().int().min(1).max(60) }))
    .max(100),
  /** How answers in gaps of the pool are compared, and its ideas. */
  settings: TextSettings,
  ideas: z.array(Idea).max(60),
  model: z.enum(['weightedSum', 'allOrNothing']),
  /** Lists and the bank stand as they are written; absent: in an order of each student's own. */
  keepsOrder: z.literal(true).optional(),
});
export type GapsQuestion = z.infer<typeof GapsQuestion>;

/** What was typed into each gap; an option's or a bank word's id where one was picked. */
export const GapsAnswer = z.strictObject({
  kind: z.literal('gaps'),
  gaps: z
    .record(Id, z.string().max(2000))
    .refine((gaps) => Object.keys(gaps).length <= 60, 'At most 60 gaps'),
});
export type GapsAnswer = z.infer<typeof GapsAnswer>;

export const GapsFace = z.strictObject({
  kind: z.literal('gaps'),
  passage: z.array(z.union([z.strictObject({ text: z.string() }), z.strictObject({ gap: Id })])),
  gaps: z.array(
    z.strictObject({
      id: Id,
      type: z.enum(['typed', 'list', 'bank']),
      options: z.array(z.strictObject({ id: Id, text: z.string() })),
    }),
  ),
  bank: z.array(z.strictObject({ id: Id, text: z.string(), times: z.number().int() })),
});
export type GapsFace = z.infer<typeof GapsFace>;
