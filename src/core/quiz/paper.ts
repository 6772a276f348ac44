import { NEWEST_EDITION } from '../answers/text/words/wordLists';
import { newPlacement } from './newPlacement';
import type { Placed, Placement } from './placement';
import type { Paper, QuizContent } from './quiz';

/** A paper and its parts: questions, each with its placement, in the quiz's order. */

/** A paper out of its questions with their placements, in the quiz's order; ids without a question are passed over. */
export function paperFrom(content: QuizContent, placed: Iterable<Placed>): Paper {
  const byId = new Map([...placed].map((one) => [one.question.id, one]));
  const found = content.order.flatMap((id) => byId.get(id) ?? []);
  return {
    content,
    questions: found.map(({ question }) => question),
    placements: found.map(({ placement }) => placement),
  };
}

/** Made once for each list of placements, which never changes. */
const known = new WeakMap<readonly Placement[], ReadonlyMap<string, Placement>>();

/** How a question stands in a paper; one that is not in it stands as a new one would. */
export function placementIn({ placements }: Pick<Paper, 'placements'>, questionId: string): Placement {
  let byId = known.get(placements);
  if (!byId) {
    byId = new Map(placements.map((placement) => [placement.questionId, placement]));
    known.set(placements, byId);
  }
  return byId.get(questionId) ?? newPlacement(questionId);
}

/** The questions of a paper, each with its placement. */
export const placedIn = (paper: Omit<Paper, 'content'>): Placed[] =>
  paper.questions.map((question) => ({ question, placement: placementIn(paper, question.id) }));

/** A paper compared by the newest rules, and as it was in all else. */
export const byNewestRules = (paper: Paper): Paper => ({
  ...paper,
  content: { ...paper.content, comparing: NEWEST_EDITION },
});
