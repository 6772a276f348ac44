import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { MarkColumn } from '@/core/checking/markColumn';
import { ScoreColumn } from '@/core/checking/scoreColumn';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { Answer, Question } from '@/core/kinds';
import { readingOf } from '@/core/scoring/context';
import { markAttempt } from '@/core/scoring/markAttempt';
import { total } from '@/core/scoring/total';
import { traceAnswer } from '@/core/scoring/traceAnswer';
import { traceWords } from '@/core/scoring/words';
import { outOfPaper, pointsOfPaper } from '@/core/quiz/points';
import { upgradeQuestion } from '@/core/forms/form2';
import { questionWithAnswer } from '../support/arbitrary';
import { filledQuestion } from '../support/filled';
import { paperOf, path, share, written, type Placing } from '../support/support';
import type { Standing } from '@/core/content/questionBase';
import { runs } from '../../runs';

const pick = (option: string): Answer => ({ kind: 'pickOne', option });

describe('a question’s own rules, from the question to the score', () => {
  const options = [
    { id: 'levee', text: 'levee', credit: ONE },
    { id: 'gorge', text: 'gorge', credit: ZERO },
    { id: 'cliff', text: 'cliff', credit: ZERO },
    { id: 'old', text: 'old', credit: ZERO, gone: true },
  ];
  const hints = [
    { id: 'h1', text: 'Not worn away.', price: share('1/4') },
    { id: 'h2', text: 'Beside.', price: share('1/2') },
  ];
  const of = ({
    standing = 'counts',
    ...more
  }: { standing?: Standing } & Record<string, unknown>): Question & Placing => ({
    ...filledQuestion('pickOne', { id: 'q1', options, hints, ...more }),
    points: share('3'),
    standing,
  });
  const earned = (question: Question & Placing, answer: Answer | null, shown: string[] = []) =>
    written(
      markAttempt(paperOf([question]), answer ? { q1: answer } : {}, {}, { q1: shown })[0]?.earned ?? ZERO,
    );
  const cases: [title: string, more: { standing?: Standing } & Record<string, unknown>, answer: Answer | null, shown: string[], earned: string][] = [
    ['guessing one of three shown costs half of it', { penalty: { kind: 'guessing' } }, pick('gorge'), [], '-3/2'],
    ['not where it is right', { penalty: { kind: 'guessing' } }, pick('levee'), [], '3'],
    ['not where nothing is given', { penalty: { kind: 'guessing' } }, null, ['h1'], '0'],
    ['a penalty in points, at most the question’s', { penalty: { kind: 'points', points: share('5') } }, pick('gorge'), [], '-3'],
    ['a share of the points', { penalty: { kind: 'share', share: share('1/3') } }, pick('gorge'), [], '-1'],
    ['a hint takes its price', {}, pick('levee'), ['h1'], '9/4'],
    ['each hint once', {}, pick('levee'), ['h1', 'h1', 'h2', 'nowhere'], '3/4'],
    ['hints do not take below 0', {}, pick('gorge'), ['h1', 'h2'], '0'],
    ['a penalty is not made worse by hints', { penalty: { kind: 'share', share: share('1/3') } }, pick('gorge'), ['h2'], '-1'],
    ['left out', { standing: 'leftOut' }, pick('levee'), [], '0'],
    ['given to all', { standing: 'given' }, null, [], '3'],
    ['given to all who answered: not to a blank', { standing: 'givenToAnswered' }, null, [], '0'],
    ['given to all who answered', { standing: 'givenToAnswered' }, pick('gorge'), [], '3'],
    ['no penalty on a bonus', { standing: 'bonus', penalty: { kind: 'guessing' } }, pick('gorge'), [], '0'],
  ]; // prettier-ignore
  for (const [title, more, answer, shown, expected] of cases)
    test(title, () => assert.equal(earned(of(more), answer, shown), expected));

  test('negative credit counts only where it is on, and the trace says what was cut', () => {
    const worse = { options: [options[0], { id: 'gorge', text: 'gorge', credit: share('-1/2') }] };
    assert.equal(earned(of(worse), pick('gorge')), '0');
    assert.equal(earned(of({ ...worse, negativeCredit: true }), pick('gorge')), '-3/2');
    assert.ok(
      traceAnswer(of(worse), pick('gorge'), paperOf([of(worse)]))
        .map(traceWords)
        .includes('Not below 0: 0% instead of -50%'),
    );
  });
  test('what is in the maximum, and out of how many', () => {
    const paper = paperOf([
      of({}),
      of({ id: 'q2', standing: 'bonus' }),
      of({ id: 'q3', standing: 'leftOut' }),
      filledQuestion('note', { id: 'q4' }),
    ]);
    assert.deepEqual([written(pointsOfPaper(paper)), written(outOfPaper(paper))], ['3', '3']);
    const scaled = {
      ...paper,
      content: { ...paper.content, scoring: { ...paper.content.scoring, outOf: share('10') } },
    };
    assert.equal(written(outOfPaper(scaled)), '10');
    const scores = markAttempt(scaled, { q1: pick('levee'), q2: pick('levee') });
    assert.equal(written(total(scores, path({ outOf: share('10') })).score), '10');
    assert.equal(written(total(scores, path({ outOf: share('10'), bonusLifts: true })).score), '20');
  });
});

test('law: columns of scores give what marking each answer by itself gives', () => {
  fc.assert(
    fc.property(fc.array(questionWithAnswer, { minLength: 1, maxLength: 6 }), (list) => {
      const questions = list.map(([question], index) => ({ ...question, id: `q-${index}` }));
      const paper = paperOf(questions);
      const answers = Object.fromEntries(list.map(([, answer], index) => [`q-${index}`, answer]));
      const columns = questions.map(
        (question) => new ScoreColumn(new MarkColumn(question, readingOf(question, paper.content)), paper),
      );
      const kept = () => columns.map((column, index) => column.score(answers[`q-${index}`]));
      kept();
      assert.deepEqual(kept(), markAttempt(paper, answers));
    }),
    { numRuns: runs(1000) },
  );
});

test('questions from before the rules have none', () => {
  const NONE = { negativeCredit: false, penalty: { kind: 'none' }, hints: [] };
  const now: Record<string, unknown> = { ...filledQuestion('pickOne', { options: [] }) };
  for (const rule of Object.keys(NONE)) delete now[rule];
  assert.deepEqual(upgradeQuestion(now), { ...now, ...NONE, standing: 'counts' });
});
