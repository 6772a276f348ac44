import type { ClassPapers, FiguredQuestion } from './classPapers';
import { endsOf, thirdsIn } from './ends';
import { correlationOf } from './spread';
import { inUnits } from './units';

/** How the answers to one question came out, alone and against the whole. A figure is null where its definition does not hold. */
export interface QuestionFigures {
  readonly questionId: string;
  readonly standing: FiguredQuestion['standing'];
  /** Papers in which this answer is marked, and all papers. */
  readonly marked: number;
  readonly papers: number;
  /** Σ earned / Σ possible over marked answers. */
  readonly facility: number | null;
  readonly discrimination: number | null;
  readonly itemRest: number | null;
  /** The facility in each third of the complete papers; null where there are no thirds. */
  readonly thirds: { readonly upper: number; readonly middle: number; readonly lower: number } | null;
}

/** From so many complete papers on a question is held against the whole. */
export const LEAST_PAPERS = 10;

/** The share of a class that is its upper, and its lower group (T. L. Kelley, The selection of upper and lower groups for the validation of test items, 1939). */
const KELLEY = 0.27;

/** So many papers are an end of a class: to the nearest whole, halves up, at least one. */
const endSize = (papers: number): number => Math.max(1, Math.floor(KELLEY * papers + 0.5));

/** The complete papers of a class as whole numbers of parts of a point, and their totals over the questions that count. */
export interface CompletePapers {
  readonly unit: number;
  /** Places of the questions that count, among all that have figures. */
  readonly counting: readonly number[];
  readonly rows: readonly (readonly number[])[];
  readonly totals: readonly number[];
}

export function completePapers({ questions, papers }: ClassPapers): CompletePapers {
  const complete = papers.filter(({ isComplete }) => isComplete);
  const { unit, rows } = inUnits(complete.map(({ points }) => points.flatMap((value) => value ?? [])));
  const counting = questions.flatMap(({ standing }, at) => (standing === 'counts' ? [at] : []));
  const totals = rows.map((row) => counting.reduce((sum, at) => sum + (row[at] ?? 0), 0));
  return { unit, counting, rows, totals };
}

function facilityOf({ papers }: ClassPapers, { possible }: FiguredQuestion, at: number) {
  const marked = papers.flatMap(({ points }) => points[at] ?? []);
  const earned = marked.reduce((sum, { n, d }) => sum + n / d, 0);
  return {
    marked: marked.length,
    facility: marked.length === 0 ? null : earned / ((possible.n / possible.d) * marked.length),
  };
}

/** The facility of the upper group less that of the lower one, papers at a cut weighted. */
function discriminationOf(complete: CompletePapers, possible: number, at: number): number | null {
  const { rows, totals, unit } = complete;
  if (totals.every((total) => total === totals[0])) return null;
  const size = endSize(totals.length);
  const difference = endsOf(totals, size).reduce(
    (sum, { upper, lower }, row) => sum + (upper - lower) * (rows[row]?.[at] ?? 0),
    0,
  );
  return difference / unit / (possible * size);
}

/** What each third of the complete papers earned, of what it could. */
function thirdsOf(
  { rows, totals, unit }: CompletePapers,
  possible: number,
  at: number,
): QuestionFigures['thirds'] {
  const thirds = thirdsIn(totals);
  if (!thirds) return null;
  const of = (name: 'upper' | 'middle' | 'lower'): number => {
    let [earned, papers] = [0, 0];
    for (const [row, third] of thirds.entries()) {
      earned += third[name] * (rows[row]?.[at] ?? 0);
      papers += third[name];
    }
    return earned / unit / (possible * papers);
  };
  return { upper: of('upper'), middle: of('middle'), lower: of('lower') };
}

/** Pearson's r between a question's points and the total without them (S. Henrysson, Correction of item-total correlations in item analysis, 1963). */
function itemRestOf({ rows, totals }: CompletePapers, at: number): number | null {
  const own = rows.map((row) => row[at] ?? 0);
  return correlationOf(
    own,
    totals.map((total, row) => total - (own[row] ?? 0)),
  );
}

/** The figures of every question that has any, in the order of the paper. */
export function questionFigures(
  papers: ClassPapers,
  complete: CompletePapers = completePapers(papers),
): QuestionFigures[] {
  const isEnough = complete.totals.length >= LEAST_PAPERS;
  return papers.questions.map((question, at) => {
    const isHeld = isEnough && question.standing === 'counts';
    const { n, d } = question.possible;
    return {
      questionId: question.id,
      standing: question.standing,
      papers: papers.papers.length,
      ...facilityOf(papers, question, at),
      discrimination: isHeld ? discriminationOf(complete, n / d, at) : null,
      itemRest: isHeld ? itemRestOf(complete, at) : null,
      thirds: thirdsOf(complete, n / d, at),
    };
  });
}
