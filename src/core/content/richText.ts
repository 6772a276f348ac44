import { z } from '../zod';
import { Clip } from './clip';
import { isSafeAddress } from './links';
import { Picture } from './picture';

/** Formatted text as a small tree of what is allowed; drawn by the interface, never as HTML. */
export const Mark = z.enum(['bold', 'italic', 'sub', 'sup']);
export type Mark = z.infer<typeof Mark>;

const TextRun = z.strictObject({
  type: z.literal('text'),
  text: z.string().min(1).max(10_000),
  marks: z.array(Mark).max(4),
  /** Where these words lead; absent where nowhere. */
  link: z
    .string()
    .max(2000)
    .refine(isSafeAddress, 'A link begins with http://, https:// or mailto:')
    .optional(),
});
export type TextRun = z.infer<typeof TextRun>;

export const Paragraph = z.strictObject({
  type: z.literal('paragraph'),
  runs: z.array(TextRun).max(500),
});
export type Paragraph = z.infer<typeof Paragraph>;
const ListItem = z.array(Paragraph).min(1).max(50);
const List = z.strictObject({
  type: z.enum(['bullets', 'numbers']),
  items: z.array(ListItem).min(1).max(200),
});

/** A picture between two paragraphs. */
const PictureBlock = z.strictObject({ type: z.literal('picture'), picture: Picture });

/** A sound or a film between two paragraphs. */
const ClipBlock = z.strictObject({ type: z.literal('clip'), clip: Clip });

const Block = z.discriminatedUnion('type', [Paragraph, List, PictureBlock, ClipBlock]);
export type Block = z.infer<typeof Block>;

export const RichText = z.array(Block).max(500);
export type RichText = z.infer<typeof RichText>;
