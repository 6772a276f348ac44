import type { ShownAnswer } from '../../content/shownAnswer';
import { inWords } from '../../content/shownLine';
import { isRight, pickedIn, type Option } from './mark';
import type { Row, RowsAnswer, RowsFace, RowsQuestion } from './schema';

const byRow = (question: RowsQuestion, picked: (row: Row) => readonly Option[]): ShownAnswer => ({
  form: 'pairs',
  pairs: question.rows.map((row) => ({
    left: inWords(row.text),
    right: picked(row).map(({ text }) => inWords(text)),
  })),
});

/** What was picked in each row. */
export const shown = (question: RowsQuestion, answer: RowsAnswer): ShownAnswer =>
  byRow(question, (row) => pickedIn(row, answer));

/** What is right in each row. */
export const shownRight = (question: RowsQuestion): ShownAnswer[] => [
  byRow(question, (row) => row.options.filter((option) => isRight(question, row, option))),
];

/** Each row with its options. */
export const given = ({ rows }: RowsFace): ShownAnswer[] => [
  {
    form: 'pairs',
    pairs: rows.map(({ text, options }) => ({
      left: inWords(text),
      right: options.map((option) => inWords(option.text)),
    })),
  },
];
