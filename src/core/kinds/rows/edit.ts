import { SILENCE } from '../../content/silence';
import { ONE, ZERO } from '../../figures/fraction';
import { isRight } from './mark';
import type { Row, RowsQuestion } from './schema';

/** What a teacher does to rows: each gives the whole question, as it is then. */

export type RowOption = Row['options'][number];

export const newOption = (id: string, text = ''): RowOption => ({ id, text, credit: ZERO, right: false });

/** The texts that every row offers, in their order; null where rows differ. */
export function commonOptions({ rows }: RowsQuestion): string[] | null {
  const texts = (row: Row) => row.options.map(({ text }) => text);
  const [first, ...others] = rows;
  if (!first) return null;
  const common = texts(first);
  const same = others.every((row) => texts(row).join('\n') === common.join('\n'));
  return same ? common : null;
}

/** A row with these words that offers what the last one does, nothing of it right yet. */
export function newRow({ rows }: RowsQuestion, text: string, newId: () => string): Row {
  const last = rows.at(-1);
  const texts = last?.options.map((option) => option.text) ?? ['', ''];
  return {
    id: newId(),
    text,
    several: last?.several ?? false,
    options: texts.map((option) => newOption(newId(), option)),
    feedback: SILENCE,
  };
}

const withRow = (question: RowsQuestion, changed: Row): RowsQuestion => ({
  ...question,
  rows: question.rows.map((row) => (row.id === changed.id ? changed : row)),
});

/** A row in which an option is pressed right, or wrong again: the only right one, where one is picked. */
export function withPressed(question: RowsQuestion, row: Row, option: RowOption): RowsQuestion {
  const right = !isRight(question, row, option);
  const pressed = (one: RowOption): RowOption => {
    if (one.id === option.id) return { ...one, right, credit: right ? ONE : ZERO };
    return row.several || !right || one.credit.n !== one.credit.d
      ? one
      : { ...one, right: false, credit: ZERO };
  };
  return withRow(question, { ...row, options: row.options.map(pressed) });
}

/** The question in which every row's option at a place reads so. */
export const withCommonOption = (question: RowsQuestion, at: number, text: string): RowsQuestion => ({
  ...question,
  rows: question.rows.map((row) => ({
    ...row,
    options: row.options.map((option, index) => (index === at ? { ...option, text } : option)),
  })),
});

/** The question with one more option in every row. */
export const withOneMore = (question: RowsQuestion, text: string, newId: () => string): RowsQuestion => ({
  ...question,
  rows: question.rows.map((row) => ({ ...row, options: [...row.options, newOption(newId(), text)] })),
});

/** The question without the option at a place in every row. */
export const withoutOption = (question: RowsQuestion, at: number): RowsQuestion => ({
  ...question,
  rows: question.rows.map((row) => ({ ...row, options: row.options.filter((_, index) => index !== at) })),
});

/** The question in whose rows one is picked, or several: what was right stays right. */
export const withSeveral = (question: RowsQuestion, several: boolean): RowsQuestion => ({
  ...question,
  rows: question.rows.map((row) => ({
    ...row,
    several,
    options: row.options.map((option) => {
      const right = isRight(question, row, option);
      return several
        ? { ...option, right }
        : { ...option, credit: right && option.credit.n <= 0 ? ONE : option.credit };
    }),
  })),
});
