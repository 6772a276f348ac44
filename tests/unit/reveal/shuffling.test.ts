import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { Face, kindOf, readCell, type Question } from '@/core/kinds';
import { questionsForStudent } from '@/core/reveal/slip';
import { contextOf } from '@/core/scoring/context';
import { markAttempt } from '@/core/scoring/markAttempt';
import { anyKind, questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, pickOneQuestion, variant, written } from '../support/support';
import { runs } from '../../runs';

/** What is shuffled for a student, by the seed of the attempt. */

const seeds = Array.from({ length: 60 }, (_, at) => at * 7919);
const orders = (faceAt: (seed: number) => unknown): Set<string> =>
  new Set(seeds.map((seed) => JSON.stringify(faceAt(seed))));

test('law: the same seed gives the same face, a face as its schema has it', () => {
  fc.assert(
    fc.property(anyKind.chain(questionOf), fc.nat(0xffffffff), (question, seed) => {
      const face = kindOf(question).faceOf(question, seed);
      assert.deepEqual(kindOf(question).faceOf(question, seed), face);
      assert.ok(Face.safeParse(face).success);
    }),
    { numRuns: runs(600) },
  );
});

describe('an order that would be the key is another one for each attempt', () => {
  const items = ['a', 'b', 'c', 'd'].map((id) => ({ id, text: id }));
  const cases: [name: string, question: ReturnType<typeof filledQuestion>][] = [
    ['items to put in order', filledQuestion('order', { items })],
    [
      'partners to match',
      filledQuestion('match', {
        items: items.map((one) => ({ ...one, partner: `to-${one.id}` })),
        partners: items.map(({ id, text }) => ({ id: `to-${id}`, text })),
      }),
    ],
    ['items to sort into boxes', filledQuestion('boxes', { items, boxes: [{ id: 'x', text: 'x' }] })],
    ['words of a bank', filledQuestion('gaps', { bank: items.map((one) => ({ ...one, times: 1 })) })],
  ];
  for (const [name, question] of cases)
    test(name, () => assert.ok(orders((seed) => kindOf(question).faceOf(question, seed)).size > 10));
});

describe('questions', () => {
  const four = ['q1', 'q2', 'q3', 'q4'].map((id) => phraseQuestion([variant('v', ['silt'])], {}, { id }));
  const order = (paper: ReturnType<typeof paperOf>, seed: number) =>
    questionsForStudent(paper, { seed, hints: {} }).map(({ id }) => id);

  test('stand in the teacher’s order, unless the quiz shuffles them', () => {
    assert.equal(orders((seed) => order(paperOf(four), seed)).size, 1);
    assert.ok(orders((seed) => order(paperOf(four, { shuffled: true }), seed)).size > 10);
  });
  test('one that stays in its place stays there; the others are all there, each once', () => {
    const paper = paperOf(
      four.map((question, at) => ({ ...question, staysInPlace: at === 1 })),
      { shuffled: true },
    );
    for (const seed of seeds) {
      const ids = order(paper, seed);
      assert.equal(ids[1], 'q2');
      assert.deepEqual([...ids].sort(), ['q1', 'q2', 'q3', 'q4']);
    }
  });
});

describe('a question with a language or a decimal sign of its own', () => {
  const number = (id: string, more: object) => ({
    ...filledQuestion('number', { id, key: '1500' }),
    ...more,
  });
  test('is read by it, and the others by the quiz’s', () => {
    const paper = paperOf([number('point', {}), number('comma', { decimalSign: 'comma' as const })]);
    const answer = { kind: 'number', text: '1.500' } as const;
    const scores = markAttempt(paper, { point: answer, comma: answer });
    assert.deepEqual(
      scores.map(({ earned }) => written(earned)),
      ['0', '1'],
      'a point before three digits parts thousands where the comma is the decimal sign',
    );
  });
  test('its options are found in its language', () => {
    const turkish = { ...pickOneQuestion({ ıslak: '1', kuru: '0' }), language: 'tr' };
    const paper = paperOf([turkish]);
    const kindRead = (question: Question) =>
      readCell(question, 'ISLAK', contextOf(paper, question)).answer?.kind;
    assert.deepEqual([kindRead(turkish), kindRead({ ...turkish, language: null })], ['pickOne', 'unread']);
  });
});

describe('options', () => {
  const NAMES = ['delta', 'levee', 'gorge', 'none of these'];
  const options = (last: boolean) =>
    NAMES.map((text, at) => ({ id: `o${at}`, text, keepsPlace: last && at === 3 }));
  for (const kind of ['pickOne', 'pickSeveral'] as const) {
    const order = (question: Question, seed: number, quiz?: 'written' | 'shuffled') => {
      const face = kindOf(question).faceOf(question, seed, quiz);
      return 'options' in face ? face.options.map(({ text }) => text) : [];
    };
    const question = (shuffled: boolean | null, last = false) =>
      filledQuestion(kind, { options: options(last), shuffled });
    const CASES: readonly (readonly [string, Question, 'written' | 'shuffled', boolean])[] = [
      ['as the quiz sets: as written', question(null), 'written', false],
      ['as the quiz sets: shuffled', question(null), 'shuffled', true],
      ['shuffled, whatever the quiz sets', question(true), 'written', true],
      ['as written, whatever the quiz sets', question(false), 'shuffled', false],
    ];
    for (const [name, one, quiz, shuffles] of CASES)
      test(`${kind}, ${name}`, () => {
        const found = orders((seed) => order(one, seed, quiz));
        assert.equal(found.size > 5, shuffles, [...found].join('\n'));
        for (const seed of seeds) assert.deepEqual(order(one, seed, quiz).sort(), [...NAMES].sort());
      });
    test(`${kind}, one that keeps its place stands there for everybody`, () => {
      const one = question(true, true);
      for (const seed of seeds) assert.equal(order(one, seed)[3], 'none of these');
      assert.ok(orders((seed) => order(one, seed)).size > 3);
    });
    test(`${kind}, the mark and the cell of a file know nothing of the order`, () => {
      const one = question(true);
      const answer = readCell(one, 'levee', { language: 'en', decimalSign: 'point' }).answer;
      assert.equal(answer && kindOf(one).answerText(one, answer as never), 'levee');
    });
  }
  test('the quiz says it for all its questions', () => {
    const paper = (shuffledOptions: boolean) =>
      paperOf([pickOneQuestion({ delta: '1', levee: '0', gorge: '0', cliff: '0' })], { shuffledOptions });
    const first = (on: boolean) =>
      orders((seed) => questionsForStudent(paper(on), { seed, hints: {} })[0]?.face);
    assert.equal(first(false).size, 1);
    assert.ok(first(true).size > 5);
  });
});
