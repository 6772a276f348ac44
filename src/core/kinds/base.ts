import { z } from '../zod';
import { Feedback } from '../quiz/feedback';
import { RichText } from '../quiz/richText';
import { FractionData as Fraction } from '../figures/schema';

/** Ids are random, short and the same alphabet everywhere. */
export const Id = z.string().regex(/^[a-z0-9-]{1,40}$/);

/** Points typed by a teacher: 0 … 1000, at most 3 decimals. */
export const Points = Fraction.refine(
  (value) => 1000 % value.d === 0 && value.n >= 0 && value.n <= 1000 * value.d,
  {
    message: 'Points are 0 to 1000 with at most 3 decimals',
  },
);

/** A typed share of the points: 0 … 1. */
export const Share = Fraction.refine((value) => value.n >= 0 && value.n <= value.d, {
  message: 'A credit is between 0 % and 100 %',
});

/** What every question has, whatever its kind. */
export const questionBase = {
  id: Id,
  text: RichText,
  /** null: the quiz's own default. */
  points: Points.nullable(),
  /** Feedback for every right, partly right and wrong answer that has none of its own. */
  right: Feedback,
  partly: Feedback,
  wrong: Feedback,
  /** Whether a paper can be handed in without an answer to it; null: as the quiz sets. */
  mustAnswer: z.boolean().nullable(),
  /** Shown with the right answers. */
  explanation: z.string().max(5000),
};
