import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { keyAnswer, kindOf, type Answer, type Question } from '@/core/kinds';
import { ONE } from '@/core/figures/fraction';
import { SILENCE } from '@/core/content/silence';
import { NO_RULES } from '@/core/content/questionRules';
import { plain } from '@/core/content/plainText';
import { phraseQuestion, variant, written } from '../support/support';

/** An answer of the class is taken into the key as the quiz reads it: in its language, with its decimal sign. */

const as = { credit: ONE, feedback: SILENCE };
const number = (key: string): Question =>
  ({
    id: 'n',
    text: plain('How deep is the river, in metres?'),
    right: SILENCE,
    partly: SILENCE,
    wrong: SILENCE,
    explanation: '',
    ...NO_RULES,
    ...kindOf({ kind: 'number' }).create(() => 'x'),
    key,
  }) as unknown as Question;

const cases: [
  name: string, question: Question, answer: Answer, language: string, decimalSign: 'point' | 'comma', like: Answer, unlike: Answer,
][] = [
  [
    'a number with a comma, where a comma parts the decimals', number('3'), { kind: 'number', text: '2,5' }, 'de', 'comma',
    { kind: 'number', text: '2,50' }, { kind: 'number', text: '25' },
  ],
  [
    'a number with a point', number('3'), { kind: 'number', text: '2.5' }, 'en', 'point',
    { kind: 'number', text: '2.50' }, { kind: 'number', text: '25' },
  ],
  [
    'a German phrase, with its article passed over', phraseQuestion([variant('v', ['Altarm'])], { ignoreArticles: true }), { kind: 'phrase', text: 'der Damm' }, 'de', 'comma',
    { kind: 'phrase', text: 'Damm' }, { kind: 'phrase', text: 'Fluss' },
  ],
  [
    'an English phrase, with its article passed over', phraseQuestion([variant('v', ['oxbow'])], { ignoreArticles: true }), { kind: 'phrase', text: 'the levee' }, 'en', 'point',
    { kind: 'phrase', text: 'levee' }, { kind: 'phrase', text: 'gorge' },
  ],
]; // prettier-ignore

describe('an answer is keyed as the quiz reads it', () => {
  for (const [name, question, answer, language, decimalSign, like, unlike] of cases)
    test(name, () => {
      const context = { language, decimalSign };
      const keyed = keyAnswer(question, answer, as, () => 'new', context);
      assert.ok(keyed.ok, keyed.ok ? '' : keyed.reason);
      const credit = (given: Answer) =>
        written(kindOf(keyed.question).mark(keyed.question, given, context).credit);
      assert.deepEqual([credit(answer), credit(like), credit(unlike)], ['1', '1', '0']);
    });

  test('the key’s own number, in another writing, is no new value', () => {
    const keyed = keyAnswer(number('2.5'), { kind: 'number', text: '2,5' }, as, () => 'new', {
      language: 'de',
      decimalSign: 'comma',
    });
    assert.ok(!keyed.ok);
    assert.match(keyed.reason, /It equals the key, 2\.5/);
  });
  test('what is no number cannot be added to the key, and that is said', () => {
    const keyed = keyAnswer(number('3'), { kind: 'number', text: 'deep' }, as, () => 'new', {
      language: 'en',
      decimalSign: 'point',
    });
    assert.deepEqual(keyed, { ok: false, reason: 'This cannot be read as a number' });
  });
});
