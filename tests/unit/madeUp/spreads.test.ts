import { idOf } from '../../../demo/words';
import { questionsIn } from '@/core/quiz/section';
import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { NO_SPREAD, spreadOf, spreadTotal } from '@/core/checking/spread';
import { madeUpSpreads } from '@/core/madeUp/spreads';
import { madeUpAnswers } from '@/core/madeUp/answers';
import { contextOf } from '@/core/scoring/context';
import { markAnswer, scoreMark } from '@/core/scoring/markAttempt';
import { verdictOfScore } from '@/core/scoring/scoreQuestion';
import { SCHOOL } from '../../../demo/school';

describe('how answers came out', () => {
  test('verdicts are counted, each by its name', () => {
    const spread = spreadOf(['right', 'wrong', 'right', 'waits', 'blank', 'partly', 'right', 'unmarked']);
    assert.deepEqual(spread, { right: 3, partly: 1, wrong: 1, waits: 1, blank: 1, unmarked: 1 });
    assert.equal(spreadTotal(spread), 8);
    assert.deepEqual(spreadOf([]), NO_SPREAD);
  });
  test('a question alone is answered by the same made-up class as in its paper', () => {
    for (const { quiz } of SCHOOL) {
      const spreads = madeUpSpreads(quiz);
      for (const question of quiz.questions) {
        const context = contextOf(quiz, question);
        const alone = madeUpAnswers(question).flatMap(({ answer, times }) => {
          const verdict = verdictOfScore(scoreMark(markAnswer(question, answer, context), question, quiz));
          return Array.from({ length: times }, () => verdict);
        });
        assert.deepEqual(spreadOf(alone), spreads[question.id], question.id);
      }
      // And wherever it stands.
      const turned = { ...quiz, questions: [...quiz.questions].reverse() };
      assert.deepEqual(madeUpSpreads(turned), spreads);
    }
  });
  for (const { quiz } of SCHOOL)
    test(`a made-up class on ${quiz.content.title}: 26 answers to each question, the same every time`, () => {
      const spreads = madeUpSpreads(quiz);
      assert.deepEqual(Object.keys(spreads), questionsIn(quiz.content));
      for (const [id, spread] of Object.entries(spreads)) {
        assert.equal(spreadTotal(spread), 26, id);
        // Without a key nothing is right, and no written answer is before the teacher has marked it.
        const question = quiz.questions.find((one) => one.id === id) ?? assert.fail();
        const marked = id !== idOf('q-tide') && question.kind !== 'written' && question.kind !== 'note';
        assert.equal(spread.right > 0, marked, `${id}: ${JSON.stringify(spread)}`);
      }
      assert.deepEqual(madeUpSpreads(quiz), spreads);
    });
});
