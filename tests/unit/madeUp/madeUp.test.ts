import assert from 'node:assert/strict';
import { createHash } from 'node:crypto';
import { test } from 'node:test';
import fc from 'fast-check';
import { fraction, ZERO } from '@/core/figures/fraction';
import { KIND_NAMES, kindOf } from '@/core/kinds';
import { madeUpClass } from '@/core/madeUp/class';
import { chanceOfRight, exponential, normal, randomFrom, shuffled } from '@/core/figures/random';
import { verdictOf } from '@/core/marks/mark';
import { markAnswer } from '@/core/scoring/markAttempt';
import { QUESTIONS } from '../../demoQuiz';
import { anyKind, questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { runs } from '../../runs';

const context = { language: 'en', decimalSign: 'point' as const };

test('the seed decides everything, and a student does not depend on how many others there are', () => {
  const few = [...madeUpClass(QUESTIONS, { seed: 7, students: 50 })];
  const many = [...madeUpClass(QUESTIONS, { seed: 7, students: 200 })];
  assert.deepEqual(many.slice(0, few.length), few);
  assert.deepEqual([...madeUpClass(QUESTIONS, { seed: 7, students: 50 })], few);
  assert.notDeepEqual([...madeUpClass(QUESTIONS, { seed: 8, students: 50 })], few);
  // Kept figures: another machine or browser must come to the same.
  const digest = createHash('sha256').update(JSON.stringify(few)).digest('hex').slice(0, 16);
  assert.equal(digest, '3a66278277dfb7eb');
});

test('a class as classes are: some never start, some are late or repeat, the able know more', () => {
  const attempts = [...madeUpClass(QUESTIONS, { seed: 1, students: 2000 })];
  const firsts = attempts.filter(({ number }) => number === 1);
  assert.ok(firsts.length > 1860 && firsts.length < 1960, String(firsts.length));
  const late = firsts.filter(({ minutesLate }) => minutesLate > 0).length / firsts.length;
  assert.ok(late > 0.05 && late < 0.11, String(late));
  assert.ok(attempts.length - firsts.length > 130);
  const right = (answers: (typeof attempts)[number]['answers']) =>
    QUESTIONS.filter(
      (question) => verdictOf(markAnswer(question, answers[question.id] ?? null, context)) === 'right',
    ).length;
  const counts = firsts.map(({ answers }) => right(answers));
  const mean = counts.reduce((a, b) => a + b) / counts.length;
  assert.ok(mean > 2.5 && mean < 6, String(mean));
  const spread = Math.sqrt(counts.reduce((sum, one) => sum + (one - mean) ** 2, 0) / counts.length);
  assert.ok(spread > 1.2, `spread ${spread}`);
});

test('made-up answers of every kind fit their schema, and right ones are mostly right', () => {
  fc.assert(
    fc.property(anyKind.chain(questionOf), fc.integer(), fc.boolean(), (question, seed, right) => {
      const answer = kindOf(question).makeUp(question, randomFrom(seed), right ? 'right' : 'wrong');
      return answer === null || kindOf(question).answer.safeParse(answer).success;
    }),
    { numRuns: runs(5000) },
  );
  const random = randomFrom(3);
  for (const question of QUESTIONS) {
    const verdicts = (wanted: 'right' | 'wrong') =>
      Array.from({ length: 200 }, () =>
        verdictOf(markAnswer(question, kindOf(question).makeUp(question, random, wanted), context)),
      );
    const share = (list: string[]) => list.filter((verdict) => verdict === 'right').length / list.length;
    assert.ok(share(verdicts('right')) > 0.75, question.id);
    assert.ok(share(verdicts('wrong')) < 0.3, question.id);
  }
  assert.equal(KIND_NAMES.length, 13);
});

test('chance: known numbers, a bell, and e to the power of x', () => {
  const random = randomFrom(1);
  assert.deepEqual(
    [random(), random()].map((value) => Math.round(value * 1e6)),
    [627074, 2736],
  );
  const bell = Array.from({ length: 20_000 }, () => normal(random));
  const mean = bell.reduce((a, b) => a + b) / bell.length;
  assert.ok(Math.abs(mean) < 0.03);
  for (const x of [-5, -1, 0, 0.5, 3])
    assert.ok(Math.abs(exponential(x) / Math.exp(x) - 1) < 0.001, String(x));
  assert.equal(chanceOfRight(0, 0, 1), 0.5);
  assert.ok(chanceOfRight(2, 0, 1) > 0.87 && chanceOfRight(-2, 0, 1) < 0.13);
  assert.deepEqual(shuffled(randomFrom(5), [1, 2, 3, 4, 5]).sort(), [1, 2, 3, 4, 5]);
  assert.throws(() => [...madeUpClass(QUESTIONS, { seed: 1, students: 0 })], RangeError);
});

test('where options have weights of their own, a made-up right answer goes by them', () => {
  const half = fraction(1, 2);
  const option = (id: string, credit = ZERO) => ({ id, text: id, credit, right: false });
  const rows = filledQuestion('rows', {
    rows: [{ id: 'one', several: true, options: [option('a', half), option('b', half), option('c')] }],
    model: 'ownWeights',
    joined: 'mean',
  });
  const several = filledQuestion('pickSeveral', {
    options: [
      { id: 'a', weight: half },
      { id: 'b', weight: half },
      { id: 'c', right: true },
    ],
    model: 'ownWeights',
  });
  const random = randomFrom(9);
  for (const question of [rows, several]) {
    const answer = kindOf(question).makeUp(question, random, 'right');
    assert.equal(verdictOf(markAnswer(question, answer, context)), 'right', question.kind);
  }
});
