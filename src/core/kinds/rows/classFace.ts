import { inWords } from '../../content/shownLine';
import { worthOf, type ClassFace } from '../classFace';
import { isRight, pickedIn } from './mark';
import type { Row, RowsAnswer, RowsQuestion } from './schema';

const idIn = (row: Row, option: string): string => `${row.id} ${option}`;

/** What was picked in each row. */
export const classFace = (question: RowsQuestion): ClassFace<RowsAnswer> => ({
  form: 'shares',
  groups: question.rows.map((row) => ({
    title: row.text,
    choices: row.options.map((option) => ({
      id: idIn(row, option.id),
      thing: inWords(option.text),
      part: { part: row.id, given: option.id },
      worth: isRight(question, row, option) ? 'right' : row.several ? 'wrong' : worthOf(option.credit),
    })),
  })),
  picked: (answer) => question.rows.flatMap((row) => pickedIn(row, answer).map(({ id }) => idIn(row, id))),
});
