import { placementIn } from './paper';
import type { Paper, QuizContent } from './quiz';
import { sectionOf } from './section';

/**
 * The questions with which a page begins where the quiz has breaks, in the order that is given: the first one, the first of each
 * section, and those at a break.
 */
export function pageStarts(
  content: Pick<QuizContent, 'order' | 'sections'>,
  ids: readonly string[],
  isAtBreak: (id: string) => boolean,
): string[] {
  const sections = sectionOf(content);
  return ids.filter((id, at) => {
    const before = ids[at - 1];
    return before === undefined || isAtBreak(id) || sections.get(id)?.id !== sections.get(before)?.id;
  });
}

/**
 * How many questions stand on each page of a student's: one each, all on one, or as the quiz is broken. A break stays
 * where it is written, also where the questions are shuffled; a section begins a page.
 */
export function pageSizes(paper: Paper): number[] {
  const { questions, content } = paper;
  if (questions.length === 0) return [];
  if (content.pages === 'each') return questions.map(() => 1);
  if (content.pages === 'one') return [questions.length];
  const ids = questions.map(({ id }) => id);
  const starts = pageStarts(content, ids, (id) => placementIn(paper, id).startsPage).map((id) =>
    ids.indexOf(id),
  );
  return starts.map((from, at) => (starts[at + 1] ?? ids.length) - from);
}
