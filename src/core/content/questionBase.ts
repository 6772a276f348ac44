import { z } from '../zod';
import { Feedback } from './feedback';
import { Formulas } from './formula';
import { Prose } from './proseSchema';
import { RichText } from './richText';
import { FractionData as Fraction } from '../figures/schema';

/** Ids are random, short and the same alphabet everywhere. */
export const Id = z.string().regex(/^[a-z0-9-]{1,40}$/);

/** Points typed by a teacher: 0 … 1000, at most 3 decimals. */
export const Points = Fraction.refine(
  (value) => 1000 % value.d === 0 && value.n >= 0 && value.n <= 1000 * value.d,
  {
    message: 'At least 0, at most 1000, with at most 3 decimals',
  },
);

/** A typed share of the points: 0 … 1. */
export const Share = Fraction.refine((value) => value.n >= 0 && value.n <= value.d, {
  message: 'At least 0, at most 1',
});

/** A credit: a share of the points from −1 to 1; below 0 it counts only where negative credit is on. */
export const Credit = Fraction.refine((value) => Math.abs(value.n) <= value.d, {
  message: 'At least −1, at most 1',
});

/** A share that is a weight: at least 0. */
export const Weight = Fraction.refine((value) => value.n >= 0 && value.n <= 1000 * value.d, {
  message: 'At least 0, at most 1000',
});

/** The price of a wrong pick, in right picks: 0 … 5. */
export const Lambda = Fraction.refine((value) => value.n >= 0 && value.n <= 5 * value.d, {
  message: 'The price of a wrong pick is 0 to 5 right picks',
});

/** Language tag of answers, such as `en`. */
export const Language = z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/);

/** The sign before the decimals of typed numbers. */
export const DecimalSign = z.enum(['point', 'comma']);

/** What an answer loses in which nothing at all was right. */
export const Penalty = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('share'), share: Share }),
  z.strictObject({ kind: z.literal('points'), points: Points }),
  /** 1/(N−1) of the points for picking one of N options shown. */
  z.strictObject({ kind: z.literal('guessing') }),
]);
export type Penalty = z.infer<typeof Penalty>;

/** A hint that a student may ask for, and the share of the points that it costs once. */
export const Hint = z.strictObject({ id: Id, text: Prose, price: Share });
export type Hint = z.infer<typeof Hint>;

/** How a question stands in a quiz's sum: see `docs/marking.md`, standing. */
export const Standing = z.enum(['counts', 'notMarked', 'leftOut', 'given', 'givenToAnswered', 'bonus']);
export type Standing = z.infer<typeof Standing>;

/** What every question has, whatever its kind. */
export const questionBase = {
  id: Id,
  /** For the teacher alone: what lists, files and figures call it; empty for its text. */
  name: z.string().max(60),
  /** For the teacher alone: what it is about. */
  topics: z.array(z.string().min(1).max(60)).max(20),
  text: RichText,
  /** What was made of the formulas in any of its texts when it was saved; absent without any. */
  formulas: Formulas.optional(),
  /** Feedback for every right, partly right and wrong answer that has none of its own. */
  right: Feedback,
  partly: Feedback,
  wrong: Feedback,
  /** Shown with the right answers. */
  explanation: Prose,
  /** Whether its credit may fall below 0; null: as the quiz has it. */
  negativeCredit: z.boolean().nullable(),
  /** null: the quiz's. */
  penalty: Penalty.nullable(),
  hints: z.array(Hint).max(20),
  /** The language that answers to it are in; null: the quiz's. */
  language: Language.nullable(),
  /** The sign before the decimals of typed numbers; null: the quiz's. */
  decimalSign: DecimalSign.nullable(),
};
