import { TextSettings } from '../../answers/text/settings';
import { questionBase } from '../../content/questionBase';
import { z } from '../../zod';
import { Unmatched, Variant } from '../shared/textKey/schema';

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
