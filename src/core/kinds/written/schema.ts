import { Id, Points, questionBase } from '../../content/questionBase';
import { z } from '../../zod';

/** One level of a criterion, and the points it is worth within the rubric. */
const Level = z.strictObject({ id: Id, text: z.string().max(2000), points: Points });
const Criterion = z.strictObject({
  id: Id,
  text: z.string().max(2000),
  levels: z.array(Level).min(1).max(20),
});
export type Criterion = z.infer<typeof Criterion>;

/** Written answer: marked by the teacher, by points or by a rubric. */
export const WrittenQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('written'),
  /** null: by a number of points. */
  rubric: z.array(Criterion).min(1).max(30).nullable(),
  /** Ideas to look for, underlined for the marker; they give no points. */
  ideas: z.array(z.string().max(300)).max(50),
  /** So many words at most, said to the student and counted while writing; null: as many as one likes. */
  mostWords: z.number().int().min(1).max(10_000).nullable(),
  /** How much room is given at first. */
  room: z.enum(['line', 'paragraph', 'page']),
});
export type WrittenQuestion = z.infer<typeof WrittenQuestion>;

export const WrittenAnswer = z.strictObject({ kind: z.literal('written'), text: z.string().max(100_000) });
export type WrittenAnswer = z.infer<typeof WrittenAnswer>;

export const WrittenFace = z.strictObject({
  kind: z.literal('written'),
  mostWords: z.number().int().nullable(),
  room: z.enum(['line', 'paragraph', 'page']),
});
export type WrittenFace = z.infer<typeof WrittenFace>;
