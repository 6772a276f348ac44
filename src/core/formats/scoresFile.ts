import papa from 'papaparse';
import { toDecimalText, type Fraction } from '../figures/fraction';

/** One student's scores as they go into a file. */
export interface ScoreRow {
  readonly name: string;
  readonly number: string;
  /** null: nothing handed in. */
  readonly score: Fraction | null;
  readonly outOf: Fraction;
  readonly waiting: Fraction;
  readonly parts: readonly (Fraction | null)[];
}

/** Signs with which a spreadsheet would take a text cell for a formula. */
const FORMULA = /^[=+\-@\t\r\n＝＋－＠]/;

const figure = (value: Fraction | null): number | null => (value ? Number(toDecimalText(value)) : null);

/**
 * Scores as comma-separated text with a byte order mark and CRLF, one row a student. Numbers have a
 * decimal point; text that a spreadsheet would run as a formula gets an apostrophe in front.
 */
export function writeScores(rows: readonly ScoreRow[], questionTitles: readonly string[]): string {
  const header = ['Name', 'Number', 'Score', 'Out of', 'Points waiting'];
  const heads = questionTitles.map((title, index) => `${index + 1}. ${title}`);
  const body = rows.map((row) => [
    row.name,
    row.number,
    figure(row.score),
    figure(row.outOf),
    row.score ? figure(row.waiting) : null,
    ...row.parts.map(figure),
  ]);
  return `\uFEFF${papa.unparse([[...header, ...heads], ...body], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}
