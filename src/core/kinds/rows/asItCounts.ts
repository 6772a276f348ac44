import { namedOnes } from '../shared/pick/optionName';
import type { RowsQuestion } from './schema';

/** Without rows and options that have no name. */
export function asItCounts(question: RowsQuestion): RowsQuestion {
  const named = namedOnes(question.rows);
  const whole = named.every(({ options }) => namedOnes(options) === options);
  if (named === question.rows && whole) return question;
  return { ...question, rows: named.map((row) => ({ ...row, options: namedOnes(row.options) })) };
}
