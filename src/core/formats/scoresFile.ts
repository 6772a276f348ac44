import type { StudentWork } from '../checking/classWork';
import { calledBy } from '../content/plainText';
import { divide, multiply, toDecimalText, ZERO, type Fraction } from '../figures/fraction';
import { wallClock } from '../figures/wallClock';
import { kindOf } from '../kinds';
import { verdictOfScore, type QuestionScore } from '../scoring/scoreQuestion';
import { askedIn, outOfPaper } from '../quiz/points';
import type { Paper } from '../quiz/quiz';
import { csvText } from './csv';

/** One student's scores as they go into a file. */
export interface ScoreRow {
  readonly name: string;
  readonly number: string;
  readonly email: string;
  readonly groups: readonly string[];
  /** null: nothing handed in. */
  readonly score: Fraction | null;
  readonly outOf: Fraction;
  readonly waiting: Fraction;
  /** Attempts that count. */
  readonly attempts: number;
  /** When the attempt that stands for the student was handed in; null without one, and for a mean. */
  readonly handedIn: string | null;
  /** Share of the points that being late cost; null where it cost nothing. */
  readonly late: Fraction | null;
  readonly comment: string;
  /** Points of each question; null where nothing was handed in, and while the answer waits. */
  readonly parts: readonly (Fraction | null)[];
}

/** The columns that a file of scores can have, in their order. */
export const SCORE_COLUMNS = [
  'name', 'number', 'email', 'groups', 'score', 'outOf', 'percent', 'waiting', 'attempts', 'handedIn', 'late', 'comment', 'questions',
] as const; // prettier-ignore
export type ScoreColumn = (typeof SCORE_COLUMNS)[number];
export const DEFAULT_SCORE_COLUMNS: readonly ScoreColumn[] = [
  'name',
  'number',
  'score',
  'outOf',
  'waiting',
  'questions',
];

type Cell = string | number | null;
const figure = (value: Fraction | null): number | null => (value ? Number(toDecimalText(value)) : null);
const hundredfold = (share: Fraction): number | null => figure(multiply(share, { n: 100, d: 1 }));
const percentOf = (score: Fraction | null, outOf: Fraction): number | null =>
  score && outOf.n > 0 ? hundredfold(divide(score, outOf)) : null;

/** What a column of scores is called, in the file and where it is chosen. */
export const SCORE_HEADINGS: Readonly<Record<Exclude<ScoreColumn, 'questions'>, string>> = {
  name: 'Name',
  number: 'Number',
  email: 'Email',
  groups: 'Groups',
  score: 'Score',
  outOf: 'Out of',
  percent: 'Score, %',
  waiting: 'Points not marked yet',
  attempts: 'Attempts',
  handedIn: 'Handed in',
  late: 'Late penalty, %',
  comment: 'Comment',
};

const COLUMNS: Readonly<Record<Exclude<ScoreColumn, 'questions'>, (row: ScoreRow) => Cell>> = {
  name: (row) => row.name,
  number: (row) => row.number,
  email: (row) => row.email,
  groups: (row) => row.groups.join(', '),
  score: (row) => figure(row.score),
  outOf: (row) => figure(row.outOf),
  percent: (row) => percentOf(row.score, row.outOf),
  waiting: (row) => (row.score ? figure(row.waiting) : null),
  attempts: (row) => row.attempts,
  handedIn: (row) => row.handedIn,
  late: (row) => row.late && hundredfold(row.late),
  comment: (row) => row.comment,
};

/**
 * Scores as comma-separated text with a byte order mark and CRLF, one row per student, with the columns asked for.
 * Numbers have a decimal point; text that a spreadsheet would run as a formula gets an apostrophe in front.
 */
export function writeScores(
  rows: readonly ScoreRow[],
  headings: readonly string[],
  columns: readonly ScoreColumn[] = DEFAULT_SCORE_COLUMNS,
): string {
  const chosen = SCORE_COLUMNS.filter((column) => columns.includes(column));
  const header = chosen.flatMap((column) =>
    column === 'questions' ? [...headings] : [SCORE_HEADINGS[column]],
  );
  const body = rows.map((row) =>
    chosen.flatMap((column): Cell[] =>
      column === 'questions' ? row.parts.map(figure) : [COLUMNS[column](row)],
    ),
  );
  return csvText([header, ...body]);
}

/** An instant as files write it: wall-clock time in a zone, to the minute or to the second. */
export const zoneTime = (at: number, zone: string, to: 'minute' | 'second' = 'minute'): string =>
  new Date(wallClock(at, zone))
    .toISOString()
    .slice(0, to === 'minute' ? 16 : 19)
    .replace('T', ' ');

/** The headings of a paper's questions: their numbers on the paper, and what they are called; notes have none. */
export const questionHeadings = (paper: Paper): string[] =>
  askedIn(paper).map((question, at) => `${at + 1}. ${calledBy(question)}`);

/** The points of a question; none while its answer waits. */
const partOf = (score: QuestionScore | undefined): Fraction | null =>
  score && verdictOfScore(score) !== 'waits' ? score.earned : null;

/**
 * One student's row: the recorded score, and the parts of the attempt that stands. Without work nothing is recorded; a 0 for
 * one whose work is `missing`.
 */
export function scoreRowOf(
  work: StudentWork | undefined,
  base: Pick<ScoreRow, 'name' | 'number' | 'email' | 'groups'>,
  paper: Paper,
  { missing, ...more }: Pick<ScoreRow, 'comment' | 'handedIn'> & { readonly missing?: boolean },
): ScoreRow {
  const { name, number, email, groups } = base;
  const recorded = work?.recorded ?? null;
  const sheet = work?.sheets.find(({ attempt }) => attempt === work.counted);
  return {
    name,
    number,
    email,
    groups,
    ...more,
    score: recorded?.score ?? (missing ? ZERO : null),
    outOf: recorded?.outOf ?? outOfPaper(paper),
    waiting: recorded?.waiting ?? ZERO,
    attempts: work?.sheets.filter((one) => one.notCounted === null).length ?? 0,
    late: sheet?.late && sheet.late.share.n > 0 ? sheet.late.share : null,
    parts: paper.questions.flatMap((question, index) =>
      kindOf(question).asks ? [partOf(sheet?.scores[index])] : [],
    ),
  };
}
