import { kindOf } from '@/core/kinds';
import { bestPossible, contextOf } from '@/core/scoring/markAttempt';
import type { Paper } from '@/core/quiz/quiz';

/** What should be looked at before students see a paper, one line each; empty where nothing is. */
export function readyList(paper: Paper): string[] {
  if (paper.questions.length === 0) return ['There are no questions in it yet.'];
  const found = paper.questions.map((question) =>
    kindOf(question).problems(question, contextOf(paper, question)),
  );
  const lines = found.flatMap((problems, index) =>
    problems.map(({ text }) => `Question ${index + 1}: ${text}.`),
  );
  const named = new Set(paper.questions.filter((_, index) => found[index]?.length).map(({ id }) => id));
  const unreachable = bestPossible(paper).missing.filter((id) => !named.has(id));
  const numbers = unreachable.map((id) => paper.questions.findIndex((question) => question.id === id) + 1);
  return [...lines, ...numbers.map((number) => `Question ${number}: no answer earns all of its points.`)];
}
