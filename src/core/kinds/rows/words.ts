import { toDecimalText, toPercentText } from '../../figures/fraction';
import { type Problem } from '../kind';
import { hasRowKey, isRight } from './mark';
import type { RowsQuestion } from './schema';
import { share, text, quoted, type LineWords } from '../../marks/lineWords';

export const problems = (question: RowsQuestion): Problem[] =>
  question.rows.every((row) => hasRowKey(question, row)) && question.rows.length > 0
    ? []
    : [{ code: 'noKey', text: 'a row has no key' }];

export function describe(question: RowsQuestion): string[] {
  const rows = question.rows.map((row) => {
    const right = row.options
      .filter((option) => isRight(question, row, option))
      .map((option) =>
        row.several ? `“${option.text}”` : `“${option.text}” (${toPercentText(option.credit)} %)`,
      );
    return `${row.text}: ${right.join(', ') || 'no key yet'}.`;
  });
  const several =
    question.rows.some((row) => row.several) && question.model === 'rightMinusWrong'
      ? [`A wrong pick costs ${toDecimalText(question.lambda)} of a right one.`]
      : [];
  return [
    ...rows,
    ...several,
    question.joined === 'mean'
      ? 'Each row earns its share.'
      : 'All rows right earn everything, anything else nothing.',
  ];
}

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  rowOpen: (v) => `${text(v['row'])}: nothing picked`,
  rowWaits: (v) => `${text(v['row'])}: no key, it waits for you`,
  rowCredit: (v, line) => `${text(v['row'])}: ${quoted(v['text'])} earns ${share(line.after)}`,
  'joined.mean': (v, line) => `The mean of ${text(v['parts'])} rows: ${share(line.after)}`,
  'joined.allOrNothing': (_, line) => `All rows or nothing: ${share(line.after)}`,
};
