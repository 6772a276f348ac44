import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { nearTo } from '@/core/checking/nearTo';
import { nearMissWords } from '@/core/marks/nearMissWords';
import { markAnswer } from '@/core/scoring/markAttempt';
import { ENGLISH, phraseQuestion, variant } from '../support/support';

const question = phraseQuestion([
  variant('wrong', ['lagoon'], '0'),
  variant('lake', ['oxbow lake', 'cut-off lake']),
  variant('half', ['floodplain'], '1/2'),
]);

describe('what a near miss is near to', () => {
  const cases: [text: string, to: string | null, words: string][] = [
    ['oxbow lakes', 'oxbow lake', 'a few typing errors from “oxbow lake”'],
    ['cutofflake', 'cut-off lake', ''],
    ['flood plain', 'floodplain', 'equal to “floodplain” without the spaces'],
    ['the big oxbow lake', 'oxbow lake', '“oxbow lake” with more words'],
  ];
  for (const [text, to, words] of cases)
    test(text, () => {
      const { nearMiss } = markAnswer(question, { kind: 'phrase', text }, ENGLISH);
      assert.ok(nearMiss, 'it is one');
      assert.equal(nearTo(question, text, nearMiss, ENGLISH), to);
      if (words) assert.equal(nearMissWords(nearMiss, to), words);
    });

  test('no form where the reason is another question', () => {
    assert.equal(nearTo(question, 'delta', 'otherQuestion', ENGLISH), null);
    assert.equal(nearMissWords('otherQuestion', null), 'right for another question of this quiz');
  });
});
