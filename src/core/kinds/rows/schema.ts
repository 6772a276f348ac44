import { Feedback } from '../../content/feedback';
import { Credit, Id, Lambda, questionBase } from '../../content/questionBase';
import { z } from '../../zod';
import { PickModel } from '../shared/pick/pickModel';

/** An option of a row: its credit where one is picked, right or not where several are. */
const RowOption = z.strictObject({ id: Id, text: z.string().max(2000), credit: Credit, right: z.boolean() });

/** One row: pick one, or pick several, of its options. */
const Row = z.strictObject({
  id: Id,
  text: z.string().max(2000),
  several: z.boolean(),
  options: z.array(RowOption).max(30),
  feedback: Feedback,
});
export type Row = z.infer<typeof Row>;

/** Row by row: every row answered by itself, and joined. */
export const RowsQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('rows'),
  rows: z.array(Row).max(60),
  /** How rows in which several are picked earn part of their credit. */
  model: PickModel,
  lambda: Lambda,
  joined: z.enum(['mean', 'allOrNothing']),
});
export type RowsQuestion = z.infer<typeof RowsQuestion>;

/** The options picked in each row. */
export const RowsAnswer = z.strictObject({
  kind: z.literal('rows'),
  picked: z
    .record(Id, z.array(Id).max(30))
    .refine((picked) => Object.keys(picked).length <= 60, 'At most 60 rows'),
});
export type RowsAnswer = z.infer<typeof RowsAnswer>;

export const RowsFace = z.strictObject({
  kind: z.literal('rows'),
  rows: z.array(
    z.strictObject({
      id: Id,
      text: z.string(),
      several: z.boolean(),
      options: z.array(z.strictObject({ id: Id, text: z.string() })),
    }),
  ),
});
export type RowsFace = z.infer<typeof RowsFace>;
