import { Id, Points, Standing } from '../content/questionBase';
import type { Question } from '../kinds';
import { z } from '../zod';

/** Whether a paper can be handed in without an answer: yes; only with one to any part; only with one to every part. */
export const MustAnswer = z.enum(['no', 'any', 'every']);
export type MustAnswer = z.infer<typeof MustAnswer>;

/** What a question is in one quiz, and not in another: its weight, and where and how it stands there. */
export const Placement = z.strictObject({
  questionId: Id,
  /** null: the quiz's own default. */
  points: Points.nullable(),
  /** Whether a paper can be handed in without an answer to it; null: as the quiz sets. */
  mustAnswer: MustAnswer.nullable(),
  standing: Standing,
  /** Whether it keeps its place where the quiz's questions are shuffled. */
  staysInPlace: z.boolean(),
});
export type Placement = z.infer<typeof Placement>;

/** A question with its placement in a quiz: what is written, saved and undone together. */
export interface Placed {
  readonly question: Question;
  readonly placement: Placement;
}

/** A placement that takes everything from the quiz. */
export const newPlacement = (questionId: string): Placement => ({
  questionId,
  points: null,
  mustAnswer: null,
  standing: 'counts',
  staysInPlace: false,
});
