import type { Criterion } from './written/schema';

/** What a teacher marks answers by. */
export interface HandMarked {
  /** What is looked for in an answer. */
  readonly ideas: readonly string[];
  /** null: by points. */
  readonly rubric: readonly Criterion[] | null;
}

export { ideasIn, type FoundIdea } from './written/ideas';
export { rubricCredit, type Levels } from './written/rubric';
export type { Criterion } from './written/schema';
