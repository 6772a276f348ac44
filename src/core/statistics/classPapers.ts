import type { StudentWork } from '../checking/classWork';
import { add, divide, fraction, ZERO, type Fraction } from '../figures/fraction';
import { placementIn } from '../quiz/paper';
import { askedIn, pointsOf } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import type { ScoredSheet } from '../scoring/scoredSheet';

/** What figures are made of: one paper a student, its points before floor, repeat and lateness. */

/** A question that has figures. */
export interface FiguredQuestion {
  readonly id: string;
  /** Its place among all questions of the paper, from 0. */
  readonly index: number;
  readonly possible: Fraction;
  /** A bonus is in no total. */
  readonly standing: 'counts' | 'bonus';
}

/** One student's paper. */
export interface FiguredPaper {
  readonly studentId: string;
  /** The attempts that it is made of: several where their mean counts. */
  readonly attemptIds: readonly string[];
  /** What each question earned; null while its answer waits for the teacher. */
  readonly points: readonly (Fraction | null)[];
  /** True where nothing waits in it. */
  readonly isComplete: boolean;
}

export interface ClassPapers {
  readonly questions: readonly FiguredQuestion[];
  readonly papers: readonly FiguredPaper[];
}

/** The questions of a paper that have figures: what is left out, not marked or given to all has none. */
export function figuredQuestions(paper: Paper): FiguredQuestion[] {
  const indexes = new Map(paper.questions.map(({ id }, index) => [id, index]));
  return askedIn(paper).flatMap((question) => {
    const { standing } = placementIn(paper, question.id);
    const possible = pointsOf(question, paper);
    if ((standing !== 'counts' && standing !== 'bonus') || possible.n === 0) return [];
    return { id: question.id, index: indexes.get(question.id) ?? 0, possible, standing };
  });
}

/** The attempts that stand for a student: the one that counts, or all whose mean does. */
const standing = ({ sheets, counted, recorded }: StudentWork): ScoredSheet[] =>
  recorded === null
    ? []
    : sheets.filter(
        ({ attempt, notCounted }) => notCounted === null && (counted === null || counted === attempt),
      );

function pointsIn(sheets: readonly ScoredSheet[], index: number): Fraction | null {
  let sum = ZERO;
  for (const { scores } of sheets) {
    const score = scores[index];
    if (!score || score.waiting.n > 0) return null;
    sum = add(sum, score.earned);
  }
  return sheets.length === 1 ? sum : divide(sum, fraction(sheets.length));
}

/** The papers of a class that figures are made of, in the order given. */
export function classPapers(paper: Paper, work: readonly StudentWork[]): ClassPapers {
  const questions = figuredQuestions(paper);
  const papers = work.flatMap((one): FiguredPaper[] => {
    const sheets = standing(one);
    if (sheets.length === 0) return [];
    const points = questions.map(({ index }) => pointsIn(sheets, index));
    return [
      {
        studentId: one.studentId,
        attemptIds: sheets.map(({ attempt }) => attempt.id),
        points,
        isComplete: points.every((value) => value !== null),
      },
    ];
  });
  return { questions, papers };
}
