import { questionBase } from '../../content/questionBase';
import { z } from '../../zod';

/** Note: text on the paper that asks nothing. */
export const NoteQuestion = z.strictObject({ ...questionBase, kind: z.literal('note') });

export type NoteQuestion = z.infer<typeof NoteQuestion>;

/** Nothing is ever answered; the shape is there so that files which hold one can be read. */
export const NoteAnswer = z.strictObject({ kind: z.literal('note') });

export type NoteAnswer = z.infer<typeof NoteAnswer>;

export const NoteFace = z.strictObject({ kind: z.literal('note') });

export type NoteFace = z.infer<typeof NoteFace>;
