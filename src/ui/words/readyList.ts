import { kindOf } from '@/core/kinds';
import { bestPossible, contextOf } from '@/core/scoring/markAttempt';
import type { Paper } from '@/core/quiz/quiz';

/** What should be looked at in each question before students see it, by its id; nothing for those that are ready. */
export function readyByQuestion(paper: Paper): ReadonlyMap<string, readonly string[]> {
  const unreachable = new Set(bestPossible(paper).missing);
  return new Map(
    paper.questions.flatMap((question): [string, string[]][] => {
      const problems = kindOf(question).problems(question, contextOf(paper, question));
      const texts = problems.map(({ text }) => text);
      if (texts.length > 0) return [[question.id, texts]];
      return unreachable.has(question.id) ? [[question.id, ['no answer earns all of its points']]] : [];
    }),
  );
}

/** What should be looked at before students see a paper, one line each; empty where nothing is. */
export function readyList(paper: Paper): string[] {
  if (paper.questions.length === 0) return ['This quiz has no questions yet.'];
  const ready = readyByQuestion(paper);
  return paper.questions.flatMap(({ id }, index) =>
    (ready.get(id) ?? []).map((text) => `Question ${index + 1}: ${text}.`),
  );
}
