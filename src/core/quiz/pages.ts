import { placementIn } from './paper';
import type { Paper } from './quiz';
import { sectionOf } from './section';

/**
 * How many questions stand on each page of a student's: one each, all on one, or as the quiz is broken. A break stays
 * where it is written, also where the questions are shuffled; a section begins a page.
 */
export function pageSizes(paper: Paper): number[] {
  const { questions, content } = paper;
  if (questions.length === 0) return [];
  if (content.pages === 'each') return questions.map(() => 1);
  if (content.pages === 'one') return [questions.length];
  const sections = sectionOf(content);
  const sizes: number[] = [];
  questions.forEach(({ id }, at) => {
    const before = questions[at - 1];
    const begins =
      !before || placementIn(paper, id).startsPage || sections.get(id)?.id !== sections.get(before.id)?.id;
    if (begins) sizes.push(1);
    else sizes.push((sizes.pop() ?? 0) + 1);
  });
  return sizes;
}
