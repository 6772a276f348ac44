import { asksFor } from '@/core/kinds/progress';
import type { Told } from '@/ui/told/en';
import type { StudentQuestion, Working } from '@/core/reveal/packets';

/** A stretch of questions in their order. */
export interface PageHere {
  readonly from: number;
  readonly count: number;
}

/** The pages of a paper: which questions stand on each. */
export function pagesOf({ pages }: Pick<Working, 'pages'>): PageHere[] {
  let from = 0;
  return pages.map((count) => {
    const page = { from, count };
    from += count;
    return page;
  });
}

/** The number of each question in the order in which it is met, the first being 1; a note has none. */
export function numbersIn(questions: readonly StudentQuestion[]): (number | null)[] {
  let last = 0;
  return questions.map(({ face }) => (asksFor(face) ? ++last : null));
}

/** What a page is called by the numbers of what stands on it. */
export function pageTitle({ work }: Told, numbers: readonly (number | null)[]): string {
  const asked = numbers.filter((number) => number !== null);
  const [first, last] = [asked[0], asked.at(-1)];
  if (first === undefined || last === undefined) return work.onlyToRead;
  return first === last ? work.questionAlone(first) : work.questionsFrom(first, last);
}

interface Stretch extends PageHere {
  readonly sectionId: string | null;
}

/** The questions of a page, those of each section together. */
export function bySection(questions: readonly StudentQuestion[], { from, count }: PageHere): Stretch[] {
  const stretches: Stretch[] = [];
  for (let at = from; at < from + count; at++) {
    const sectionId = questions[at]?.section ?? null;
    const last = stretches.at(-1);
    if (last?.sectionId === sectionId) stretches[stretches.length - 1] = { ...last, count: last.count + 1 };
    else stretches.push({ sectionId, from: at, count: 1 });
  }
  return stretches;
}
