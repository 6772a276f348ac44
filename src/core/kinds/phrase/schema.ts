import { z } from '../../zod';
import { Feedback } from '../../quiz/feedback';
import { TextSettings, WayOfMatching } from '../../answers/text/settings';
import { Credit, Id, questionBase } from '../base';

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

/** Word or phrase: a short typed answer compared with accepted variants. */
export const PhraseQuestion = z.strictObject({
  ...questionBase,
  kind: z.literal('phrase'),
  settings: TextSettings,
  variants: z.array(Variant).max(300),
  unmatched: Unmatched,
});
export type PhraseQuestion = z.infer<typeof PhraseQuestion>;

export const PhraseAnswer = z.strictObject({ kind: z.literal('phrase'), text: z.string().max(10_000) });
export type PhraseAnswer = z.infer<typeof PhraseAnswer>;

/** What a student is shown of the question besides its text. */
export const PhraseFace = z.strictObject({ kind: z.literal('phrase') });
export type PhraseFace = z.infer<typeof PhraseFace>;
