import { toPercentText } from '../../figures/fraction';
import { costOfWrong } from '../shared/costWords';
import { type Problem } from '../kind';
import { hasRowKey, isRight } from './mark';
import type { RowsQuestion } from './schema';
import { counted, text, quoted, type LineWords } from '../../marks/lineWords';

export const problems = (question: RowsQuestion): Problem[] =>
  question.rows.every((row) => hasRowKey(question, row)) && question.rows.length > 0
    ? []
    : [{ code: 'noKey', text: 'a row has no key' }];

export function describe(question: RowsQuestion): string[] {
  const rows = question.rows.map((row) => {
    const right = row.options
      .filter((option) => isRight(question, row, option))
      .map((option) =>
        row.several ? `“${option.text}”` : `“${option.text}” (${toPercentText(option.credit)}%)`,
      );
    return `${row.text}: ${right.join(', ') || 'no key yet'}.`;
  });
  const several =
    question.rows.some((row) => row.several) && question.model === 'rightMinusWrong'
      ? [`A wrong pick costs ${costOfWrong(question.lambda, 'right one')}.`]
      : [];
  return [
    ...rows,
    ...several,
    question.joined === 'mean'
      ? 'Each row earns its share.'
      : 'Full points only if every row is right; otherwise none.',
  ];
}

/** The words of the lines that only this kind writes. */
export const lines: LineWords = {
  rowOpen: (v) => `${text(v['row'])}: nothing picked`,
  rowWaits: (v) => `${text(v['row'])}: no key, so it is for you to mark`,
  rowCredit: (v, line, say) => `${text(v['row'])}: ${quoted(v['text'])} earns ${say.share(line.after)}`,
  'joined.mean': (v, line, say) => `The mean of ${counted(v['parts'], 'row')}: ${say.share(line.after)}`,
  'joined.allOrNothing': (_, line, say) => `All rows or nothing: ${say.share(line.after)}`,
};
