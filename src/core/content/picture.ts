import { z } from '../zod';

/** How large a picture stands, in per cent of the paper's width. */
export const PICTURE_SHARES = [25, 50, 75, 100] as const;

/** A picture by its content's hash: the picture itself is stored once, apart. */
export const Picture = z.strictObject({
  /** SHA-256 of the stored bytes, in hexadecimal. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  /** What it shows, for those who cannot see it; empty where the text says it all. */
  alt: z.string().max(1000),
  /** Size of the stored picture in pixels. */
  width: z.number().int().min(1).max(4000),
  height: z.number().int().min(1).max(4000),
  share: z.literal(PICTURE_SHARES),
});
export type Picture = z.infer<typeof Picture>;
