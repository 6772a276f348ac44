import { z } from '../zod';
import { Picture } from './picture';
import { Point, Shape } from './shape';

/** Words that are ours and not the teacher's, so that they can be said in the reader's language: the text beside says them in English. */
const Said = z.union([
  z.enum(['true', 'false', 'gone', 'noBox', 'noMatch']),
  /** The gap of this number, the first being 1. */
  z.strictObject({ gap: z.number().int().min(1) }),
]);
export type Said = z.infer<typeof Said>;

/** Something that has a name: its text, or what its picture shows. */
export const ShownThing = z.strictObject({
  text: z.string(),
  picture: Picture.nullable(),
  said: Said.optional(),
});
export type ShownThing = z.infer<typeof ShownThing>;

/**
 * An answer as people are shown it, in one of few forms that all kinds share: never the text of a file's cell. It says
 * nothing of what is right.
 */
export const ShownAnswer = z.discriminatedUnion('form', [
  /** What was typed. */
  z.strictObject({ form: z.literal('text'), text: z.string(), said: Said.optional() }),
  /** What was picked. */
  z.strictObject({ form: z.literal('things'), things: z.array(ShownThing) }),
  /** One thing put to another; null where it was left open. */
  z.strictObject({
    form: z.literal('pairs'),
    pairs: z.array(z.strictObject({ left: ShownThing, right: z.array(ShownThing) })),
  }),
  /** Things in an order, null for an empty place. */
  z.strictObject({ form: z.literal('sequence'), things: z.array(ShownThing.nullable()) }),
  /** Spots on a picture, in the order in which they were set, and areas of it with their names. */
  z.strictObject({
    form: z.literal('onPicture'),
    picture: Picture,
    spots: z.array(Point),
    areas: z.array(z.strictObject({ name: z.string(), shape: Shape })),
    /** The name of the area in which each spot lies, null in none; empty where that is not to be told. */
    inside: z.array(z.string().nullable()),
  }),
]);
export type ShownAnswer = z.infer<typeof ShownAnswer>;
