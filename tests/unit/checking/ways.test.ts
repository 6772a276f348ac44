import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { brokenChecks } from '@/core/checking/checks';
import { compareWays, type Given } from '@/core/checking/ways';
import { fraction } from '@/core/figures/fraction';
import { KINDS, kindOf, type Answer, type KindName } from '@/core/kinds';
import { madeUpAnswers } from '@/core/madeUp/answers';
import { placedIn } from '@/core/quiz/paper';
import { DEFAULT_SCORING } from '@/core/quiz/newQuiz';
import type { QuizContent } from '@/core/quiz/quiz';
import { bestPossible, worstPossible } from '@/core/scoring/possible';
import { runs } from '../../runs';
import { anyKind, questionOf } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf, phraseQuestion, pickOneQuestion, variant, written, type Placing } from '../support/support';

const several = (more: object = {}) =>
  filledQuestion('pickSeveral', {
    model: 'rightMinusWrong',
    options: ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, right: id < 'c' })),
    ...more,
  });
const ticked = (...options: string[]): Answer => ({ kind: 'pickSeveral', options });
const placedOf = (paper: ReturnType<typeof paperOf>) => placedIn(paper)[0] ?? assert.fail();

describe('ways of part credit, compared on the same answers', () => {
  // k=2, N=5: the right ones, one right and one wrong, nothing.
  const given: Given[] = [
    { answer: ticked('a', 'b'), times: 3 },
    { answer: ticked('a', 'c'), times: 2 },
    { answer: null, times: 1 },
  ];
  const paper = paperOf([{ ...several(), points: fraction(2) }]);
  const { now, ways } = compareWays(placedOf(paper), paper, given);
  test('what they earn now: mean and how many earn how much', () => {
    assert.equal(now.mean && written(now.mean), '1');
    assert.deepEqual(
      now.spread.map(({ points, times }) => [written(points), times]),
      [
        ['0', 3],
        ['2', 3],
      ],
    );
  });
  const cases: [model: string, mean: string, higher: number, lower: number][] = [
    ['rightMinusWrong', '1', 0, 0],
    ['shareOfRight', '4/3', 2, 0],
    ['everyOption', '7/5', 2, 0],
    ['allOrNothing', '1', 0, 0],
    ['ownWeights', '4/3', 2, 0],
  ];
  for (const [model, mean, higher, lower] of cases)
    test(`${model}: ${mean}`, () => {
      const way = ways.find(({ question }) => 'model' in question && question.model === model);
      assert.ok(way);
      assert.deepEqual([way.mean && written(way.mean), way.higher, way.lower], [mean, higher, lower]);
      assert.equal(way.isNow, model === 'rightMinusWrong');
    });

  test('law: a way gives what the question gives once it has it', () => {
    fc.assert(
      fc.property(anyKind.chain(questionOf), (question) => {
        const before = paperOf([question]);
        const answers = madeUpAnswers(question);
        assert.equal(
          answers.reduce((sum, { times }) => sum + times, 0),
          26,
        );
        const compared = compareWays(placedOf(before), before, answers);
        for (const way of compared.ways) {
          const after = paperOf([way.question]);
          const then = compareWays(placedOf(after), after, answers);
          assert.deepEqual(then.now.mean, way.mean);
          if (way.isNow) assert.deepEqual([way.higher, way.lower, way.question], [0, 0, question]);
        }
      }),
      { numRuns: runs(300) },
    );
  });
  test('every kind with models offers each of them, and has one of them now', () => {
    const offering = KINDS.filter(({ name }) => {
      const question = filledQuestion(name, {});
      const offered = kindOf(question).ways(question);
      assert.ok(offered.length === 0 || offered.filter(({ isNow }) => isNow).length === 1, name);
      return offered.length > 0;
    });
    assert.deepEqual(
      offering.map(({ name }) => name),
      ['pickSeveral', 'gaps', 'match', 'order', 'boxes', 'rows'],
    );
  });
});

describe('checks', () => {
  const check = (id: string, answer: Answer | null, points: string) => ({
    id,
    answer,
    points: fraction(Number(points)),
  });
  const paper = (more: object) =>
    paperOf([
      {
        ...several(more),
        points: fraction(2),
        checks: [
          check('full', ticked('a', 'b'), '2'),
          check('half', ticked('a'), '1'),
          check('none', null, '0'),
        ],
      },
      phraseQuestion([variant('v', ['silt'])], {}, { id: 'q-2', checks: [] }),
    ]);
  const cases: [what: string, more: object, broken: Record<string, number>][] = [
    ['met', {}, {}],
    ['one is not, under another model', { model: 'allOrNothing' }, { q: 1 }],
    ['two are not, with another key', { options: [{ id: 'a', right: false }, { id: 'b', right: true }] }, { q: 2 }],
  ]; // prettier-ignore
  for (const [what, more, broken] of cases)
    test(what, () => assert.deepEqual(brokenChecks(paper(more)), broken));
});

const LOOSE = { ...DEFAULT_SCORING, floor: false };

describe('the best and the worst possible paper', () => {
  const phrase = (more: object = {}) => phraseQuestion([variant('v', ['silt'])], {}, { id: 'p', ...more });
  const pick = (more: object = {}) =>
    pickOneQuestion({ delta: '1', levee: '0', gorge: '-1/2' }, { id: 'o', ...more });
  const essay = { ...filledQuestion('written' as KindName, {}), id: 'w' };
  const keyless = phraseQuestion([], {}, { id: 'k' });
  type One = Parameters<typeof paperOf>[0][number];
  const cases: [what: string, questions: One[], quiz: Partial<QuizContent>, best: string, missing: string[], byHand: string, worst: string][] = [
    ['nothing costs', [phrase(), pick()], {}, '2', [], '0', '0'],
    ['a penalty costs', [phrase({ penalty: { kind: 'points', points: fraction(1) } })], { scoring: LOOSE }, '1', [], '0', '-1'],
    ['not below the quiz’s floor', [phrase({ penalty: { kind: 'points', points: fraction(1) } })], {}, '1', [], '0', '0'],
    ['a credit below 0', [pick({ negativeCredit: true, points: fraction(4) })], { scoring: LOOSE }, '4', [], '0', '-2'],
    ['the larger loss of both', [pick({ negativeCredit: true, penalty: { kind: 'share', share: fraction(3, 4) } })], { scoring: LOOSE }, '1', [], '0', '-3/4'],
    ['marked by hand', [essay], {}, '1', [], '1', '0'],
    ['what nothing matches waits for the teacher', [{ ...keyless, unmatched: 'waits' }], {}, '1', [], '0', '0'],
    ['a key that is missing', [keyless, phrase()], {}, '1', ['k'], '0', '0'],
    ['given to all', [phrase({ standing: 'given', penalty: { kind: 'points', points: fraction(1) } })], {}, '1', [], '0', '1'],
    ['a bonus takes nothing', [phrase({ standing: 'bonus', penalty: { kind: 'points', points: fraction(1) } }), phrase({ id: 'r' })], { scoring: LOOSE }, '1', [], '0', '0'],
  ]; // prettier-ignore
  for (const [what, questions, quiz, best, missing, byHand, worst] of cases)
    test(what, () => {
      const paper = paperOf(questions as (One & Placing)[], quiz);
      const found = bestPossible(paper);
      assert.deepEqual([written(found.best), found.missing, written(found.byHand)], [best, missing, byHand]);
      assert.equal(written(worstPossible(paper)), worst);
    });
});
