import type { Answer } from '@/core/kinds';
import type { GivenPart } from '@/core/kinds/givenPart';

/** What a press on Accept, Part or Wrong is about, beside the answer at hand. */
export type Judged =
  /** Answers that differ from it only in form, and are keyed with it. */
  | { readonly what: 'answers'; readonly alike: readonly Answer[] }
  /** One part of it alone, in all the forms in which it was given. */
  | {
      readonly what: 'part';
      readonly parts: readonly GivenPart[];
      /** What is keyed, as the margin names it. */
      readonly words: string;
      readonly isRight: boolean;
    };

export const ALONE: Judged = { what: 'answers', alike: [] };
