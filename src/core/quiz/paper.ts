import { newPlacement, type Placed, type Placement } from './placement';
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

/** The questions of a paper, each with its placement. */
export function placedIn({ questions, placements }: Omit<Paper, 'content'>): Placed[] {
  const byId = new Map(placements.map((placement) => [placement.questionId, placement]));
  return questions.map((question) => ({
    question,
    placement: byId.get(question.id) ?? newPlacement(question.id),
  }));
}

/** Made once for each paper, which never changes. */
const placementsOf = new WeakMap<Paper, ReadonlyMap<string, Placement>>();

/** How a question stands in a paper; one that is not in it stands as a new one would. */
export function placementIn(paper: Paper, questionId: string): Placement {
  let placements = placementsOf.get(paper);
  if (!placements) {
    placements = new Map(paper.placements.map((placement) => [placement.questionId, placement]));
    placementsOf.set(paper, placements);
  }
  return placements.get(questionId) ?? newPlacement(questionId);
}
