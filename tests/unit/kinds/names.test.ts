import assert from 'node:assert/strict';
import { it } from 'node:test';
import fc from 'fast-check';
import { isAnswerTo, kindOf, type Answer, type Question } from '@/core/kinds';
import { ENGLISH } from '../support/support';
import { questionWithAnswer } from '../support/arbitrary';
import { runs } from '../../runs';

const renamed = <One>(one: One): One =>
  JSON.parse(JSON.stringify(one).replaceAll('constructor', 'constructed')) as One;
/** What comes of an answer, but for the ids in it. */
const outcome = (question: Question, answer: Answer | null) => {
  const kind = kindOf(question);
  const { credit, keyCredit } = kind.mark(question, answer, ENGLISH);
  const given = answer && isAnswerTo(question, answer) ? answer : null;
  return renamed({
    credit,
    keyCredit,
    explained: kind.explain(question, given, ENGLISH),
    shown: given && kind.shown(question, given),
    written: given && kind.answerText(question, given),
    described: kind.describe(question, ENGLISH),
  });
};

it('a question, option, gap, item or row may be named as objects name what they have: marks are as with any name', () => {
  fc.assert(
    fc.property(questionWithAnswer, ([question, answer]) => {
      const named = { ...question, id: 'constructor' };
      for (const given of [answer, null])
        assert.deepEqual(outcome(named, given), outcome(renamed(named), renamed(given)));
    }),
    { numRuns: runs(5000) },
  );
});
