import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { MarkedClass } from '@/core/checking/classWork';
import { emptyContent } from '@/core/quiz/newQuiz';
import type { Attempt } from '@/core/quiz/work/attempt';
import type { Paper } from '@/core/quiz/quiz';
import { figuresRows } from '@/core/formats/figuresFile';
import { answerFigures } from '@/core/statistics/answers';
import { figuresOf } from '@/core/statistics/figures';
import { windowOf } from '../support/shown';
import { paperOf, phraseQuestion, variant } from '../support/support';

/** Figures out of marked work: what waits, what is left out, what is a bonus, and several attempts of one student. */

const ask = (id: string, more: object = {}) =>
  phraseQuestion([variant('v', ['silt'])], {}, { id, ...more } as never);
const WINDOW = windowOf({ from: 0, due: null, grace: 0, until: 1000 });

function paper(counts: 'best' | 'mean' = 'best'): Paper {
  const made = paperOf([
    ask('q1', { topics: ['load'] }),
    ask('q2', { topics: ['load', 'bed'] }),
    ask('q3'),
    ask('q4'),
  ]);
  return {
    ...made,
    content: { ...emptyContent('Rivers', 'UTC'), ...made.content, attempts: { most: null, counts } },
    placements: made.placements.map((one) => ({
      ...one,
      points: { n: 2, d: 1 },
      standing: one.questionId === 'q3' ? 'leftOut' : one.questionId === 'q4' ? 'bonus' : 'counts',
    })),
  };
}

/** An attempt that answers each question rightly, wrongly or not at all: `r`, `w`, `-`. */
const attempt = (studentId: string, answers: string, number = 1, worked?: number): Attempt => ({
  id: `${studentId}-${number}`, quizId: 'q', studentId, number, revision: 1, openedAt: 1, savedAt: 2, handedInAt: 10 + number,
  timeKnown: true, source: 'sat', hints: {}, seed: 1, saves: {}, seq: 1, ...(worked === undefined ? {} : { worked }),
  answers: Object.fromEntries([...answers].flatMap((one, at) =>
    one === '-' ? [] : [[`q${at + 1}`, { kind: 'phrase', text: one === 'r' ? 'silt' : 'mud' } as const]])),
}); // prettier-ignore

const classOf = (attempts: readonly Attempt[], counts: 'best' | 'mean' = 'best') =>
  new MarkedClass(paper(counts), {
    attempts,
    windowOf: () => WINDOW,
    unfinished: 'taken',
    overrides: new Map(),
    rulings: new Map(),
    at: 500,
  });
const figures = (attempts: readonly Attempt[], counts: 'best' | 'mean' = 'best') => {
  const marked = classOf(attempts, counts);
  return figuresOf(marked.paper, marked.students());
};

describe('figures of marked work', () => {
  const four = [
    attempt('a', 'rrrr', 1, 60_000),
    attempt('b', 'rw--', 1, 180_000),
    attempt('c', 'wwww'),
    attempt('d', '-r--'),
  ];
  test('what is left out has none, a bonus has its facility alone', () => {
    const { questions } = figures(four);
    assert.deepEqual(
      questions.map(({ questionId, standing, facility, marked }) => [questionId, standing, facility, marked]),
      [
        ['q1', 'counts', 0.5, 4],
        ['q2', 'counts', 0.5, 4],
        ['q4', 'bonus', 0.25, 4],
      ],
    );
    assert.ok(
      questions.every(({ discrimination, itemRest }) => discrimination === null && itemRest === null),
    );
  });
  test('scores, the whole with too few papers, topics, and the time that is known', () => {
    const { scores, whole, topics, worked } = figures(four);
    assert.deepEqual([scores.scores, scores.mean, scores.median], [4, 2, 2]);
    assert.deepEqual([whole.papers, whole.questions, whole.alpha], [4, 2, null]);
    assert.deepEqual(topics, [
      { topic: 'bed', questionIds: ['q2'], facility: 0.5 },
      { topic: 'load', questionIds: ['q1', 'q2'], facility: 0.5 },
    ]);
    assert.deepEqual(worked, { median: 120_000, papers: 2 });
  });
  test('of several attempts the one that counts, or their mean', () => {
    const twice = [attempt('a', 'rw--'), attempt('a', 'rr--', 2), attempt('b', 'ww--')];
    assert.deepEqual(
      figures(twice).questions.map(({ facility }) => facility),
      [0.5, 0.5, 0],
    );
    const mean = figures(twice, 'mean');
    assert.deepEqual(
      mean.questions.map(({ facility }) => facility),
      [0.5, 0.25, 0],
    );
    assert.equal(mean.whole.papers, 2);
  });
  test('an answer that waits is in no facility, and its paper in none that is held against the whole', () => {
    const marked = classOf(four);
    const [first] = marked.students();
    assert.ok(first);
    const sheets = first.sheets.map((sheet) => ({
      ...sheet,
      scores: sheet.scores.map((score, at) => (at === 0 ? { ...score, waiting: { n: 2, d: 1 } } : score)),
    }));
    const { questions, whole } = figuresOf(marked.paper, [
      { ...first, sheets },
      ...marked.students().slice(1),
    ]);
    assert.deepEqual([questions[0]?.marked, questions[0]?.facility, whole.papers], [3, 1 / 3, 3]);
    assert.deepEqual([questions[1]?.marked, questions[1]?.facility], [4, 0.5]);
  });
  test('nobody: no figure at all', () => {
    const { scores, questions, whole } = figures([]);
    assert.deepEqual([scores.mean, scores.deviation, scores.quartiles, scores.modes], [null, null, null, []]);
    assert.ok(questions.every(({ facility, thirds }) => facility === null && thirds === null));
    assert.equal(whole.alpha, null);
  });
});

describe('every answer with its share', () => {
  const six = ['rr', 'rr', 'rw', 'wr', 'w-', '-w'].map((answers, at) => attempt(`s${at}`, answers));
  test('alike whatever the capitals; by thirds of the totals', () => {
    const capital = {
      ...six[1],
      answers: { ...six[1]?.answers, q1: { kind: 'phrase', text: 'Silt ' } },
    } as Attempt;
    const marked = classOf([six[0] as Attempt, capital, ...six.slice(2)]);
    const answers = answerFigures(marked.paper, marked.students(), 'q1');
    assert.deepEqual(
      answers.map(({ text, verdict, papers, share, thirds }) => [text, verdict, papers, share, thirds]),
      [
        ['silt', 'right', 3, 0.5, { upper: 1, middle: 0.5, lower: 0 }],
        ['mud', 'wrong', 2, 2 / 6, { upper: 0, middle: 0.5, lower: 0.5 }],
        ['', 'blank', 1, 1 / 6, { upper: 0, middle: 0, lower: 0.5 }],
      ],
    );
  });
  test('of a mean each attempt is a part of the paper; none for a question that is not there', () => {
    const marked = classOf([attempt('a', 'r'), attempt('a', 'w', 2)], 'mean');
    const shares = answerFigures(marked.paper, marked.students(), 'q1').map(({ text, papers }) => [
      text,
      papers,
    ]);
    assert.deepEqual(shares, [
      ['mud', 0.5],
      ['silt', 0.5],
    ]);
    assert.deepEqual(answerFigures(marked.paper, marked.students(), 'q9'), []);
  });
});

test('the file holds what is shown, unrounded, and says whose it is', () => {
  const rows = figuresRows(
    figures([attempt('a', 'rr'), attempt('b', 'r-'), attempt('c', 'ww')]),
    [{ id: 'q1', number: 1, title: '=What is it?' }],
    'blue',
  );
  assert.deepEqual(rows[1]?.slice(0, 3), [1, '=What is it?', 2 / 3]);
  const value = (name: string) => rows.find((row) => row[1] === name)?.[2];
  assert.deepEqual(
    [value('Of'), value('Scores'), value('Mean'), value('Coefficient alpha')],
    ['blue', 3, 2, null],
  );
});
