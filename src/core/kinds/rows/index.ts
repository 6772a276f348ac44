import { acceptPart } from './acceptPart';
import { classFace } from './classFace';
import { given, shown, shownRight } from './shown';
import { SILENCE } from '../../content/silence';
import { ONE, ZERO } from '../../figures/fraction';
import { asItCounts } from './asItCounts';
import { defineKind } from '../kind';
import { joinParts as joinCells, joinPair } from '../shared/answerCells';
import { readAnswer } from './cells';
import { makeUp } from './makeUp';
import { bestRow, explain, hasKey, lowestRow, mark, meanOf, pickedIn } from './mark';
import { RowsAnswer, RowsFace, RowsQuestion, type Row } from './schema';
import { ways } from './models';
import { whatIfs } from './whatIfs';
import { lines, describe, problems } from './words';

const emptyRow = (newId: () => string): Row => ({
  id: newId(),
  text: '',
  several: false,
  options: [0, 1].map(() => ({ id: newId(), text: '', credit: ZERO, right: false })),
  feedback: SILENCE,
});

export const rows = defineKind<RowsQuestion, RowsAnswer, RowsFace>({
  name: 'rows',
  title: 'Row by row',
  about: {
    what: 'Each row is answered from its own options.',
    marks: 'itself',
    part: 'each row earns its share.',
  },
  question: RowsQuestion,
  answer: RowsAnswer,
  face: RowsFace,
  asItCounts,
  create: (newId) => ({
    kind: 'rows',
    rows: [emptyRow(newId), emptyRow(newId)],
    model: 'rightMinusWrong',
    lambda: ONE,
    joined: 'mean',
  }),
  next: ({ model, lambda, joined }, newId) => ({
    kind: 'rows',
    rows: [emptyRow(newId), emptyRow(newId)],
    model,
    lambda,
    joined,
  }),
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
  describe,
  partsOf: ({ rows }) => rows.length,
  partName: 'row',
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
  shown,
  givenAs: 'rows',
  shownRight,
  given,
  acceptPart,
  classFace,
  whatIfs,
  ways,
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
  lines,
  places: { rows: 'row', options: 'option' },
});
