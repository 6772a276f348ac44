import { valueAt } from '../../figures/valueAt';
import type { Row, RowsQuestion } from './schema';

import { SILENCE } from '../../content/silence';
import { divide, fraction, larger, ONE, smaller, sum, ZERO, type Fraction } from '../../figures/fraction';
import type { Mark, PartMark } from '../../marks/mark';
import { change, note, type TraceLine } from '../../marks/trace';
import { equally, joinParts } from '../shared/joinParts';
import { blankPart, bounded, partOf } from '../shared/makeMark';
import { pickCredit, sumOfWeights, type Picks } from '../shared/pick/pickModel';
import type { RowsAnswer } from './schema';

export const hasRowKey = (question: RowsQuestion, row: Row): boolean =>
  row.options.some((option) => isRight(question, row, option));

export const hasKey = (question: RowsQuestion): boolean =>
  question.rows.some((row) => hasRowKey(question, row));

/** The options picked in a row: the first where one is to be picked. */
export function pickedIn(row: Row, answer: RowsAnswer | null): Option[] {
  const ids = answer ? (valueAt(answer.picked, row.id) ?? []) : [];
  const picked = row.options.filter(({ id }) => ids.includes(id));
  if (row.several || picked.length < 2) return picked;
  return picked.filter(({ id }) => id === ids.find((one) => picked.some((option) => option.id === one)));
}

function picksOf(question: RowsQuestion, row: Row, picked: readonly Option[]): Picks {
  const pickedRight = picked.filter((option) => isRight(question, row, option)).length;
  return {
    right: row.options.filter((option) => isRight(question, row, option)).length,
    options: row.options.length,
    pickedRight,
    pickedWrong: picked.length - pickedRight,
    weights: sumOfWeights(picked.map(({ credit }) => credit)),
  };
}

/** A row's credit before it is brought within its bounds. */
const rowCredit = (question: RowsQuestion, row: Row, picked: readonly Option[]): Fraction =>
  row.several
    ? pickCredit(picksOf(question, row, picked), question.model, question.lambda)
    : (picked[0]?.credit ?? ZERO);

/** A row scored by itself; `allWrong` asks for its picks, so a row that holds a right one keeps that in its rule. */
function markRow(question: RowsQuestion, row: Row, answer: RowsAnswer | null): PartMark {
  const picked = pickedIn(row, answer);
  if (picked.length === 0) return blankPart(row.id);
  if (!hasRowKey(question, row)) return partOf(row.id, ZERO, { state: 'waits' });
  const credit = bounded(rowCredit(question, row, picked), question);
  // What would help is said to those whose row is not fully right.
  const feedback = credit.n === credit.d ? SILENCE : row.feedback;
  return partOf(row.id, credit, { rule: picked.map(({ id }) => id).join(' '), feedback });
}

const anyRight = (question: RowsQuestion, answer: RowsAnswer | null): boolean =>
  question.rows.some((row) => pickedIn(row, answer).some((option) => isRight(question, row, option)));

export function mark(question: RowsQuestion, answer: RowsAnswer | null): Mark {
  const parts = question.rows.map((row) => markRow(question, row, answer));
  const joined = joinParts(
    question,
    equally(parts),
    question.joined === 'mean' ? 'weightedSum' : 'allOrNothing',
  );
  return joined.state === 'marked' ? { ...joined, allWrong: !anyRight(question, answer) } : joined;
}

export function explain(question: RowsQuestion, answer: RowsAnswer | null): TraceLine[] {
  const marked = mark(question, answer);
  if (marked.state === 'blank') return [note('answer', 'blank')];
  const lines = question.rows.map((row, index) => {
    const picked = pickedIn(row, answer);
    const part = marked.parts[index];
    const values = { row: row.text, text: picked.map(({ text }) => text).join(', ') };
    if (picked.length === 0) return note('rule', 'rowOpen', values);
    if (part?.state === 'waits') return note('rule', 'rowWaits', values);
    return change('rule', 'rowCredit', null, part?.credit ?? ZERO, values);
  });
  return [
    ...lines,
    change('credit', `joined.${question.joined}`, null, marked.credit, { parts: question.rows.length }),
  ];
}

/** The lowest credit of a row: everything wrong picked. */
export function lowestRow(question: RowsQuestion, row: Row): Fraction {
  const wrong = row.options.filter((option) => !isRight(question, row, option));
  if (row.several) return smaller(ZERO, rowCredit(question, row, wrong));
  return row.options.map(({ credit }) => credit).reduce(smaller, ZERO);
}

export function bestRow(question: RowsQuestion, row: Row): Fraction {
  if (!row.several) return row.options.map(({ credit }) => credit).reduce(larger, ZERO);
  const right = row.options.filter((option) => isRight(question, row, option));
  return smaller(ONE, rowCredit(question, row, right));
}

export const meanOf = (credits: readonly Fraction[]): Fraction =>
  credits.length === 0 ? ZERO : divide(sum(credits), fraction(credits.length));

export type Option = Row['options'][number];

/** True where picking the option is right by the row's key. */
export const isRight = (question: RowsQuestion, row: Row, option: Option): boolean =>
  row.several && question.model !== 'ownWeights' ? option.right : option.credit.n > 0;
