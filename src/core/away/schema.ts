import { Id } from '../content/questionBase';
import { Instant } from '../figures/instant';
import { Answer } from '../kinds';
import { z } from '../zod';

/** A file of answers as it is read: of each answer its form is checked by itself, so that one that is damaged spoils no other. */
export const AnswersFile = z.strictObject({
  format: z.literal('yentrel-answers'),
  version: z.literal(1),
  quizId: Id,
  title: z.string().max(300),
  revision: z.number().int().min(1),
  ticket: z.string().max(60),
  sitting: z.string().regex(/^[a-z0-9]{12}$/),
  seed: z.string().regex(/^[0-9a-f]{32}$/),
  begunAt: Instant,
  savedAt: Instant,
  number: z.number().int().min(1).max(1_000_000),
  answers: z.record(Id, z.unknown()),
  check: z.string().max(64),
});
export type AnswersFile = z.infer<typeof AnswersFile>;

/** An answer out of a file; null for what is none. */
export const readAnswer = (value: unknown): Answer | null => {
  const read = Answer.safeParse(value);
  return read.success ? read.data : null;
};
