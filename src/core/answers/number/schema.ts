import { z } from '../../zod';
import { Credit, Id, Share } from '../../content/questionBase';
import { Feedback } from '../../content/feedback';
import { readNumber } from './read';

/** A number as a teacher typed it, with a decimal point: `5.3`, `3/4`, `1.2e3`, `25%`. */
export const TypedNumber = z
  .string()
  .max(200)
  .refine((text) => text === '' || readNumber(text, 'point') !== null, 'This is not a number');

/** How near the key a value must be, and what share it then earns. */
export const Band = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('exact'), credit: Share }),
  /** Key ± amount, the bounds inside. */
  z.strictObject({ kind: z.literal('amount'), amount: TypedNumber, credit: Share }),
  /** Key ± per cent of the key's size. */
  z.strictObject({ kind: z.literal('percent'), percent: TypedNumber, credit: Share }),
  /** The same to so many significant figures. */
  z.strictObject({ kind: z.literal('figures'), figures: z.number().int().min(1).max(20), credit: Share }),
  z.strictObject({
    kind: z.literal('range'),
    from: TypedNumber,
    fromIn: z.boolean(),
    to: TypedNumber,
    toIn: z.boolean(),
    credit: Share,
  }),
]);
export type Band = z.infer<typeof Band>;

/** A value that is expected beside the key, with a tolerance of its own, or the question's. */
export const ExpectedValue = z.strictObject({
  id: Id,
  value: TypedNumber,
  credit: Credit,
  feedback: Feedback,
  bands: z.array(Band).max(10).nullable(),
});
export type ExpectedValue = z.infer<typeof ExpectedValue>;

/** The form in which the number is asked for, and what another form earns of its credit. */
export const FormRule = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('any') }),
  z.strictObject({ kind: z.literal('lowestTerms'), otherwise: Share }),
  z.strictObject({ kind: z.literal('decimals'), count: z.number().int().min(0).max(20), otherwise: Share }),
  z.strictObject({ kind: z.literal('figures'), count: z.number().int().min(1).max(20), otherwise: Share }),
  z.strictObject({ kind: z.literal('scientific'), otherwise: Share }),
]);
export type FormRule = z.infer<typeof FormRule>;

/** An accepted unit: its names, and how much of the key's unit one of it is. */
const Unit = z.strictObject({
  names: z.array(z.string().min(1).max(60)).min(1).max(20),
  factor: TypedNumber,
});

/** Whether a unit is asked for; without one, a missing or an unknown unit earns a share of the credit. */
export const UnitRule = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({
    kind: z.enum(['optional', 'required']),
    units: z.array(Unit).max(50),
    missing: Share,
    unknown: Share,
  }),
]);
export type UnitRule = z.infer<typeof UnitRule>;

/** All that decides about a typed number. */
export const numberKey = {
  key: TypedNumber,
  bands: z.array(Band).min(1).max(10),
  expected: z.array(ExpectedValue).max(100),
  form: FormRule,
  unit: UnitRule,
  /** Where the key is in per cent: whether the bare fraction (0.25 for 25 %) is right. */
  bareFraction: z.boolean(),
};
export type NumberKey = z.infer<z.ZodObject<typeof numberKey>>;

/** What one entry of the lists in a number's key is called. */
export const NUMBER_PLACES = { expected: 'expected value', bands: 'band', units: 'unit', names: 'name' };
