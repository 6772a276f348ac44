import { Id, Points, Standing } from '../content/questionBase';
import { FractionData } from '../figures/schema';
import { Answer, type Question } from '../kinds';
import { z } from '../zod';

/** Whether a paper can be handed in without an answer: yes; only with one to any part; only with one to every part. */
export const MustAnswer = z.enum(['no', 'any', 'every']);
export type MustAnswer = z.infer<typeof MustAnswer>;

/** A trial answer that was kept, and the points that it must earn. */
export const Check = z.strictObject({
  id: Id,
  /** null: no answer at all. */
  answer: Answer.nullable(),
  points: FractionData,
});
export type Check = z.infer<typeof Check>;

/** So many checks a question can keep. */
export const MOST_CHECKS = 30;

/** A teacher's decision whether two answers, as they were written, are the same thing: to a question, or to a gap of it. */
export const AlikeDecision = z.strictObject({
  /** The gap's id; null for the question as a whole. */
  part: Id.nullable(),
  a: z.string().max(500),
  b: z.string().max(500),
  are: z.enum(['together', 'apart']),
});
export type AlikeDecision = z.infer<typeof AlikeDecision>;

/** So many decisions a question can keep; beyond, the oldest go. */
export const MOST_DECISIONS = 500;

/** What a question is in one quiz, and not in another: its weight, and where and how it stands there. */
export const Placement = z.strictObject({
  questionId: Id,
  /** null: the quiz's own default. */
  points: Points.nullable(),
  /** Whether these points are for each of its parts: a gap, a pair, a row. */
  perPart: z.boolean(),
  /** Whether a paper can be handed in without an answer to it; null: as the quiz sets. */
  mustAnswer: MustAnswer.nullable(),
  standing: Standing,
  /** Whether it keeps its place where the quiz's questions are shuffled. */
  staysInPlace: z.boolean(),
  /** Whether a page of the student's begins with it, where the quiz has breaks. */
  startsPage: z.boolean(),
  /** What its rules must give, whatever is changed. */
  checks: z.array(Check).max(MOST_CHECKS),
  /** Which answers are look-alikes because the teacher says so, the newest last; absent without any. */
  lookAlikes: z.array(AlikeDecision).max(MOST_DECISIONS).optional(),
});
export type Placement = z.infer<typeof Placement>;

/** False for a question that nobody marks: whatever is answered there, it earns nothing, costs nothing and never waits. */
export const carriesPoints = ({ standing }: Pick<Placement, 'standing'>): boolean => standing !== 'notMarked';

/** A question with its placement in a quiz: what is written, saved and undone together. */
export interface Placed {
  readonly question: Question;
  readonly placement: Placement;
}
