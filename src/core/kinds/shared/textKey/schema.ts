import { TextSettings, WayOfMatching } from '../../../answers/text/settings';
import { Feedback } from '../../../content/feedback';
import { Credit, Id } from '../../../content/questionBase';
import { z } from '../../../zod';

/** One expected answer in one or more forms: accepted where its credit is above 0, else expected and wrong. */
export const Variant = z.strictObject({
  id: Id,
  forms: z.array(z.string().max(500)).max(100),
  match: WayOfMatching,
  credit: Credit,
  feedback: Feedback,
  /** Where it matches without a typing error, it wins over every variant that does not decide. */
  decides: z.boolean(),
  /** Settings that differ from the question's. */
  settings: TextSettings.partial(),
});
export type Variant = z.infer<typeof Variant>;

/** What happens to an answer that nothing in the key matches. */
export const Unmatched = z.enum(['wrong', 'waits', 'nearMissesWait']);
export type Unmatched = z.infer<typeof Unmatched>;

/** All that decides about a typed text. */
export interface TextKey {
  readonly settings: TextSettings;
  readonly variants: readonly Variant[];
}

/** What one entry of the lists in a text's key is called. */
export const TEXT_PLACES = { variants: 'variant', forms: 'form' };
