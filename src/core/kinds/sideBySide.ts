import type { NumberKey } from '../answers/number/schema';
import type { TextKey } from './shared/textKey/schema';

/** A part of a question whose answers are laid side by side. */
export interface SidePart<Answer> {
  /** The part's own id; null for the whole answer. */
  readonly id: string | null;
  /** What the part is called; empty for the whole answer. */
  readonly title: string;
  /** By what typed texts and numbers are alike; null for what is picked: that is the same or not. */
  readonly key: { readonly text: TextKey } | { readonly number: NumberKey } | null;
  /** What was given to the part, as it is stored, and as people read it; absent for the whole answer. */
  readonly given?: (answer: Answer | null) => { readonly stored: string; readonly read: string };
}

/** The whole answer as one part. */
export const wholePart = <Answer>(key: SidePart<Answer>['key']): SidePart<Answer> => ({
  id: null,
  title: '',
  key,
});
