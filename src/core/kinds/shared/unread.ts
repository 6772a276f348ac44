import { z } from '../../zod';

/**
 * What a file has for an answer and no question of that kind can read: kept as it is, so that it waits for the teacher
 * instead of becoming a blank.
 */
export const UnreadAnswer = z.strictObject({
  kind: z.literal('unread'),
  text: z.string().min(1).max(10_000),
});
export type UnreadAnswer = z.infer<typeof UnreadAnswer>;
