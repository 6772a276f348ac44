import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { Answer, KIND_NAMES, kindOf, type Question } from '@/core/kinds';
import { guessedOrders, guessesAt } from '@/core/kinds/shared/pick/guesses';
import { worthOf } from '@/core/scoring/whatIf';
import { questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf, share, written, type Placing } from '../support/support';
import { runs } from '../../runs';

const worths = (question: Question & Placing): Record<string, string> =>
  Object.fromEntries(
    worthOf(question, paperOf([question])).map(({ words, points }) => [words, written(points)]),
  );

const several = (more: object = {}): Question =>
  filledQuestion('pickSeveral', {
    options: ['a', 'b', 'c', 'd', 'e'].map((id) => ({
      id,
      right: id < 'c',
      weight: share(id < 'c' ? '1/2' : '-1/2'),
    })),
    lambda: share('1'),
    ...more,
  });
const one = (more: object = {}): Question =>
  filledQuestion('pickOne', {
    options: ['a', 'b', 'c', 'd'].map((id) => ({ id, credit: share(id === 'a' ? '1' : '0') })),
    ...more,
  });

describe('what rules earn, in points of the question', () => {
  const EVERY = 'every option ticked';
  const ONE_MORE = 'the right ones and a wrong one';
  const CHANCE = 'guessing, on average';
  const cases: [name: string, question: Question & Placing, worth: Record<string, string>][] = [
    ['all or nothing', several({ model: 'allOrNothing' }), { [EVERY]: '0', 'none ticked': '0', [ONE_MORE]: '0', [CHANCE]: '1/32' }],
    ['right minus wrong', several({ model: 'rightMinusWrong' }), { [EVERY]: '0', [ONE_MORE]: '1/2' }],
    ['right minus half of wrong', several({ model: 'rightMinusWrong', lambda: share('1/2') }), { [EVERY]: '1/4', [ONE_MORE]: '3/4' }],
    ['every option counts', several({ model: 'everyOption' }), { [EVERY]: '2/5', 'none ticked': '0', [ONE_MORE]: '4/5' }],
    ['pick one of four', one(), { 'a wrong option': '0', [CHANCE]: '1/4' }],
    ['guessing costs what it gains', one({ penalty: { kind: 'guessing' } }), { 'a wrong option': '-1/3', [CHANCE]: '0' }],
    ['a wrong answer costs a share', one({ penalty: { kind: 'share', share: share('1/4') } }), { 'a wrong option': '-1/4', [CHANCE]: '1/16' }],
    ['three points', { ...one(), points: share('3') }, { 'a wrong option': '0', [CHANCE]: '3/4' }],
    ['an order by places', filledQuestion('order', { items: ['a', 'b', 'c'].map((id) => ({ id })), model: { kind: 'rightPlaces' } }), { 'two neighbours swapped': '1/3', 'the first put last': '0', [CHANCE]: '1/3' }],
    ['pairs', filledQuestion('match', { items: ['a', 'b'].map((id) => ({ id, partner: `to-${id}` })), partners: [{ id: 'to-a' }, { id: 'to-b' }], model: 'shareRight' }), { 'all but one pair right': '1/2', [CHANCE]: '1/2' }],
    ['without a key', filledQuestion('pickOne', { options: [{ id: 'a' }] }), {}],
  ]; // prettier-ignore
  for (const [name, question, expected] of cases)
    test(name, () => {
      const found = worths(question);
      assert.deepEqual(
        Object.fromEntries(Object.keys(expected).map((words) => [words, found[words]])),
        expected,
      );
      if (Object.keys(expected).length === 0) assert.deepEqual(found, {});
    });
});

describe('answering by chance', () => {
  test('all ways, each once; of many a draw that is always the same', () => {
    assert.deepEqual(guessesAt([2, 3]).map(String).sort(), ['0,0', '0,1', '0,2', '1,0', '1,1', '1,2']);
    assert.equal(new Set(guessedOrders(5).map(String)).size, 120);
    assert.deepEqual(guessesAt([]), []);
    assert.deepEqual(guessesAt([3, 0]), []);
    assert.deepEqual(
      guessesAt(Array.from({ length: 40 }, () => 4)),
      guessesAt(Array.from({ length: 40 }, () => 4)),
    );
    assert.equal(guessedOrders(12).length, 4000);
  });

  for (const kind of KIND_NAMES)
    test(`${kind}: whatever the question, what is tried are answers to it, and each earns within its points`, () => {
      fc.assert(
        fc.property(questionOf(kind), (question) => {
          for (const { answers } of kindOf(question).whatIfs(question))
            for (const answer of answers.slice(0, 20))
              if (answer) assert.equal(Answer.parse(answer).kind, kind);
          for (const { points } of worthOf(question, paperOf([question])))
            assert.ok(Math.abs(points.n) <= points.d, `${points.n}/${points.d}`);
        }),
        { numRuns: runs(300) },
      );
    });
});
