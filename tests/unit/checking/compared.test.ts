import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { comparedSteps, triedPaper, type Tried } from '@/core/checking/compared';
import { DEFAULT_SETTINGS, withPreset } from '@/core/answers/text/settings';
import { EXAMPLES } from '@/desks/comparing/exampleGroups';
import { answerIn, comparingAddress, triedIn } from '@/ui/teacher/comparingAddress';
import { compareExamples, compareTyped } from '@/views/compared';

const tried = (right: string, more: Partial<Tried> = {}): Tried => ({
  reads: 'words',
  right,
  language: 'en',
  decimalSign: 'point',
  settings: DEFAULT_SETTINGS,
  match: 'whole',
  unit: '',
  ...more,
});

describe('what a typed answer is compared as', () => {
  test('step by step, those that change nothing left out', () => {
    const settings = withPreset(DEFAULT_SETTINGS, 'onlyTheSense');
    assert.deepEqual(comparedSteps(tried('The Érosion!', { settings, language: 'fr' }), 'l’erosion').map(({ step, right, answer }) => [step, right, answer]), [
      ['typed', 'The Érosion!', 'l’erosion'],
      ['oneForm', 'The Érosion!', "l'erosion"],
      ['capitals', 'the érosion!', "l'erosion"],
      ['articles', 'the érosion!', 'erosion'],
      ['punctuation', 'the érosion', 'erosion'],
      ['accents', 'the erosion', 'erosion'],
    ]); // prettier-ignore
    assert.deepEqual(comparedSteps(tried('delta'), 'delta').map(({ step }) => step), ['typed']); // prettier-ignore
  });

  test('each setting beside the others, by the code that marks', () => {
    const { trial, others, signs } = compareTyped(tried('Levee'), 'levees');
    assert.equal(trial.verdict, 'wrong');
    assert.deepEqual(
      others.map(([way, { verdict }]) => `${way} ${verdict}`),
      ['spellingCounts wrong', 'smallErrorsPass wrong', 'onlyTheSense right', 'everySignCounts wrong', 'capitalsCount wrong', 'phrase wrong', 'allWords wrong'],
    ); // prettier-ignore
    assert.deepEqual(signs, { right: [], answer: [] });
    assert.deepEqual(compareTyped(tried('2x-3'), '2x 3').signs.right, [{ sign: '-', as: 'minus' }]);
  });

  test('a number with its own unit, or with the one that is typed with it', () => {
    const right = (one: Tried, answer: string) => compareTyped(one, answer).trial.verdict;
    assert.equal(right(tried('24 h', { reads: 'numbers' }), '24 hours'), 'right');
    assert.equal(right(tried('1.5 million', { reads: 'numbers' }), '1500000'), 'right');
    assert.equal(right(tried('2,5', { reads: 'numbers', decimalSign: 'comma' }), '2,50'), 'right');
    assert.equal(right(tried('2', { reads: 'numbers' }), '2x'), 'wrong');
    assert.equal(triedPaper(tried('nothing', { reads: 'numbers' })).question.kind, 'number');
    assert.equal(right(tried('nothing', { reads: 'numbers' }), '2'), 'waits');
  });

  test('the examples are what they say: none of them waits, and each table has both', () => {
    for (const { title, rows } of EXAMPLES) {
      const verdicts = compareExamples(rows.map((row) => [row.tried, row.answer]));
      assert.ok(
        verdicts.every(({ verdict }) => verdict === 'right' || verdict === 'wrong'),
        title,
      );
      const isNear = verdicts.every(({ nearMiss }) => nearMiss !== null);
      assert.ok(isNear || new Set(verdicts.map(({ verdict }) => verdict)).size === 2, title);
    }
  });

  test('what is tried stands in the address, and what cannot be read is as at first', () => {
    const one = tried('Ca(OH)2 & more', { match: 'phrase', language: 'de', settings: withPreset(DEFAULT_SETTINGS, 'onlyTheSense') }); // prettier-ignore
    assert.deepEqual(triedIn(new URL(comparingAddress(one), 'http://x.example').search), one);
    const first = triedIn('');
    for (const address of ['?settings={}', '?settings=%7B', '?match=pattern%20x', '?reads=<script>'])
      assert.deepEqual(triedIn(address), first, address);
    assert.equal(answerIn(new URL(comparingAddress(one, 'a&b=c'), 'http://x.example').search), 'a&b=c');
    assert.equal(triedIn(`?right=${'x'.repeat(2000)}`).right.length, 500);
  });
});
