import { Instant } from '../../figures/instant';
import { FractionData } from '../../figures/schema';
import { Id } from '../../content/questionBase';
import { z } from '../../zod';

/** A teacher's own score for one answer. It survives marking again. */
export const Override = z.strictObject({
  quizId: Id,
  attemptId: Id,
  questionId: Id,
  /** From 0; above the question's points only with the teacher's eyes open. */
  points: FractionData.refine((points) => points.n >= 0, 'Points begin at 0'),
  reason: z.string().max(1000),
  /** When it was set, ms since 1970. */
  at: Instant,
  /** The points that marking gave when it was set; null while the answer waited. */
  gave: FractionData.nullable(),
  /** The level given for each criterion, by ids, where the points come from a rubric. */
  levels: z.record(Id, Id).optional(),
});
export type Override = z.infer<typeof Override>;
