import {
  larger,
  smaller,
  sum,
  divide,
  fraction,
  ONE,
  toDecimalText,
  toPercentText,
  ZERO,
  type Fraction,
} from '../../figures/fraction';
import type { Mark, MarkingContext, PartMark } from '../../marking/mark';
import { namedSo } from '../pickOne/name';
import { change, note, type TraceLine } from '../../marking/trace';
import { SILENCE } from '../../quiz/silence';
import { joinPair, joinParts as joinCells, splitPair, splitParts } from '../cells';
import { equally, joinParts } from '../joined';
import { asRead, onlyByHand, unreadable, type Kind, type Problem, type ReadCell } from '../kind';
import { blankPart, bounded, partOf } from '../marks';
import { pickCredit, sumOfWeights, type Picks } from '../pickSeveral/model';
import { isRight, type Option } from './right';
import { RowsAnswer, RowsFace, RowsQuestion, type Row } from './schema';
import { makeUp } from './makeUp';

const hasRowKey = (question: RowsQuestion, row: Row): boolean =>
  row.options.some((option) => isRight(question, row, option));
const hasKey = (question: RowsQuestion): boolean => question.rows.some((row) => hasRowKey(question, row));

/** The options picked in a row: the first where one is to be picked. */
function pickedIn(row: Row, answer: RowsAnswer | null): Option[] {
  const ids = answer && Object.hasOwn(answer.picked, row.id) ? (answer.picked[row.id] ?? []) : [];
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
  return partOf(row.id, credit, { rule: picked.map(({ id }) => id).join(' '), feedback: row.feedback });
}

const anyRight = (question: RowsQuestion, answer: RowsAnswer | null): boolean =>
  question.rows.some((row) => pickedIn(row, answer).some((option) => isRight(question, row, option)));

function mark(question: RowsQuestion, answer: RowsAnswer | null): Mark {
  const parts = question.rows.map((row) => markRow(question, row, answer));
  const joined = joinParts(
    question,
    equally(parts),
    question.joined === 'mean' ? 'weightedSum' : 'allOrNothing',
  );
  return joined.state === 'marked' ? { ...joined, allWrong: !anyRight(question, answer) } : joined;
}

function explain(question: RowsQuestion, answer: RowsAnswer | null): TraceLine[] {
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
function lowestRow(question: RowsQuestion, row: Row): Fraction {
  const wrong = row.options.filter((option) => !isRight(question, row, option));
  if (row.several) return smaller(ZERO, rowCredit(question, row, wrong));
  return row.options.map(({ credit }) => credit).reduce(smaller, ZERO);
}

function bestRow(question: RowsQuestion, row: Row): Fraction {
  if (!row.several) return row.options.map(({ credit }) => credit).reduce(larger, ZERO);
  const right = row.options.filter((option) => isRight(question, row, option));
  return smaller(ONE, rowCredit(question, row, right));
}

const meanOf = (credits: readonly Fraction[]): Fraction =>
  credits.length === 0 ? ZERO : divide(sum(credits), fraction(credits.length));

const problems = (question: RowsQuestion): Problem[] =>
  question.rows.every((row) => hasRowKey(question, row)) && question.rows.length > 0
    ? []
    : [{ code: 'noKey', text: 'a row has no key' }];

function describe(question: RowsQuestion): string[] {
  const rows = question.rows.map((row) => {
    const right = row.options
      .filter((option) => isRight(question, row, option))
      .map((option) =>
        row.several ? `“${option.text}”` : `“${option.text}” (${toPercentText(option.credit)} %)`,
      );
    return `${row.text}: ${right.join(', ') || 'no key yet'}.`;
  });
  const several = question.rows.some((row) => row.several) && question.model === 'rightMinusWrong' ? [`A wrong pick costs ${toDecimalText(question.lambda)} of a right one.`] : []; // prettier-ignore
  return [
    ...rows,
    ...several,
    question.joined === 'mean'
      ? 'Each row earns its share.'
      : 'All rows right earn everything, anything else nothing.',
  ];
}

const withoutPicture = <One extends { text: string }>(list: readonly One[]) =>
  list.map((one) => ({ ...one, picture: null }));

function readAnswer(
  question: RowsQuestion,
  text: string,
  { language }: MarkingContext,
): ReadCell<RowsAnswer> {
  const picked: [string, string[]][] = [];
  for (const part of splitParts(text).filter(Boolean)) {
    const [left, right] = splitPair(part) ?? [part, ''];
    const row = namedSo(withoutPicture(question.rows), left, language);
    if (!row) return unreadable(`“${left}” is not one of the rows`);
    const ids: string[] = [];
    for (const name of right.split(' + ')) {
      const option = namedSo(withoutPicture(row.options), name, language);
      if (!option) return unreadable(`“${name}” is not an option of “${row.text}”`);
      ids.push(option.id);
    }
    picked.push([row.id, ids]);
  }
  return asRead(picked.length === 0 ? null : { kind: 'rows', picked: Object.fromEntries(picked) });
}

const emptyRow = (newId: () => string): Row => ({
  id: newId(),
  text: '',
  several: false,
  options: [0, 1].map(() => ({ id: newId(), text: '', credit: ZERO, right: false })),
  feedback: SILENCE,
});

export const rows: Kind<RowsQuestion, RowsAnswer, RowsFace> = {
  name: 'rows',
  title: 'Row by row',
  question: RowsQuestion,
  answer: RowsAnswer,
  face: RowsFace,
  create: (newId) => ({
    kind: 'rows',
    rows: [emptyRow(newId), emptyRow(newId)],
    model: 'rightMinusWrong',
    lambda: ONE,
    joined: 'mean',
  }),
  next: ({ model, lambda, joined }, newId) => ({
    kind: 'rows', rows: [emptyRow(newId), emptyRow(newId)], model, lambda, joined,
  }), // prettier-ignore
  hasKey,
  problems,
  bestCredit: (question) => {
    if (!hasKey(question)) return null;
    const best = question.rows.map((row) => bestRow(question, row));
    if (question.joined === 'mean') return meanOf(best);
    return best.every((credit) => credit.n >= credit.d) ? ONE : ZERO;
  },
  lowestCredit: (question) =>
    question.joined === 'mean' ? meanOf(question.rows.map((row) => lowestRow(question, row))) : ZERO,
  choicesShown: () => null,
  describe,
  mark,
  explain,
  answerKey: ({ picked }) => {
    let key = '';
    for (const row in picked) key += `${row}=${(picked[row] ?? []).join(',')};`;
    return key;
  },
  answerText: (question, answer) =>
    joinCells(
      question.rows.flatMap((row) => {
        const picked = pickedIn(row, answer);
        return picked.length === 0 ? [] : [joinPair(row.text, picked.map(({ text }) => text).join(' + '))];
      }),
    ),
  readAnswer,
  accept: onlyByHand,
  rightAnswers: (question) => [
    joinCells(
      question.rows.map((row) =>
        joinPair(
          row.text,
          row.options
            .filter((option) => isRight(question, row, option))
            .map(({ text }) => text)
            .join(' + '),
        ),
      ),
    ),
  ],
  makeUp,
  faceOf: (question) => ({
    kind: 'rows',
    rows: question.rows.map(({ id, text, several, options }) => ({
      id,
      text,
      several,
      options: options.map((option) => ({ id: option.id, text: option.text })),
    })),
  }),
};
