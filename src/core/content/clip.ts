import { z } from '../zod';

/** The kinds of files that every browser plays. */
export const CLIP_TYPES = [
  'audio/mpeg',
  'audio/wav',
  'audio/ogg',
  'audio/mp4',
  'audio/webm',
  'video/mp4',
  'video/webm',
] as const;

/** A sound or a film weighs at most so many bytes. */
export const LARGEST_CLIP = 20_000_000;

/** A sound or a short film by its content's hash: the file itself is stored once, apart. */
export const Clip = z.strictObject({
  /** SHA-256 of the stored bytes, in hexadecimal. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(CLIP_TYPES),
  bytes: z.number().int().min(1).max(LARGEST_CLIP),
  /** What it is called. */
  title: z.string().max(300),
  /** What is said or shown in it, for those who cannot hear or see it. */
  words: z.string().max(10_000),
});
export type Clip = z.infer<typeof Clip>;
