import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { READY_MADE, readyMadeOf } from '@/desks/plan/first/readyMade';
import { hintWords, knownWords, moreWords, toldWords, whenWords, whoWords } from '@/ui/words/warningWords';
import { handedBackWords } from '@/ui/words/resultWords';
import { effectWords } from '@/ui/words/effectWords';
import { quizRules } from '@/desks/write/rules/ruleWords';
import { emptyContent } from '@/core/quiz/newQuiz';

const NOW = Date.UTC(2026, 2, 1, 8);
const LATER = Date.UTC(2026, 2, 3, 16);
const lanes = [{ name: '8C' }, { name: '7B' }, { name: 'Others of 8D' }, { name: 'Ada Marsh' }];
type Leak = Parameters<typeof whoWords>[0];
const leak = (more: Partial<Leak> = {}): Leak => ({
  kind: 'others', tellers: [0], hearers: 0, aspects: ['rightAnswers'], from: NOW, until: LATER, hearing: 12, ...more,
}); // prettier-ignore

describe('what can be passed on, in whole sentences', () => {
  const WHO: [Partial<Leak>, string][] = [
    [{}, 'Some of 8C could pass answers on.'],
    [{ tellers: [1] }, '7B could pass answers on to 8C.'],
    [{ tellers: [0, 1] }, '7B and some of 8C could pass answers on to 8C.'],
    [{ tellers: [1, 2] }, '7B and others of 8D could pass answers on to 8C.'],
    [{ tellers: [2], hearers: 1 }, 'Others of 8D could pass answers on to 7B.'],
    [{ kind: 'self' }, '8C can see answers before the next attempt.'],
  ];
  for (const [more, words] of WHO) test(words, () => assert.equal(whoWords(leak(more), lanes), words));

  const WHEN: [Partial<Leak>, RegExp][] = [
    [{}, /^Those who have handed in already see the right answers; 8C can hand in until .*00.*\.$/],
    [{ from: NOW + 1, until: null }, /^Those who have handed in see the right answers from .*00.*; 8C can hand in until you close the quiz\.$/],
    [{ kind: 'self' }, /^They already see the right answers, and can hand in again until .*00.*\.$/],
    [{ aspects: ['feedback', 'rightWrong'] }, /already see feedback and what was right and wrong;/],
  ]; // prettier-ignore
  for (const [more, words] of WHEN)
    test(String(words), () => assert.match(whenWords(leak(more), { lanes, now: NOW }, 'UTC'), words));

  test('hints: none, one student, many', () => {
    assert.equal(hintWords([]), null);
    assert.equal(
      hintWords([leak({ aspects: ['feedback'], hearing: 1 })]),
      'Feedback can be passed on to 1 student who can still hand in.',
    );
    assert.equal(
      hintWords([
        leak({ aspects: ['questions'], hearing: 12 }),
        leak({ aspects: ['feedback'], hearing: 14 }),
      ]),
      'Feedback and the questions can be passed on to 26 students who can still hand in.',
    );
    assert.equal(toldWords(['rightAnswers', 'feedback', 'rightWrong']), 'the right answers, feedback, and what was right and wrong'); // prettier-ignore
  });

  test('ignored ones, and more than are listed', () => {
    assert.deepEqual(knownWords(1), { said: '1 ignored warning.', press: 'Show it again' });
    assert.deepEqual(knownWords(2), { said: '2 ignored warnings.', press: 'Show them again' });
    assert.deepEqual([-1, 0, 1, 3].map(moreWords), ['', '', 'There is 1 more like these. ', 'There are 3 more like these. ']); // prettier-ignore
  });
});

test('how many see results, and how many scores may change: 0, 1, 2', () => {
  const words = (seeing: number, all: number, provisional: number) =>
    handedBackWords({ seeing, all, provisional });
  assert.equal(words(0, 0, 0), 'Some results are shown to 0 of 0 students.');
  assert.equal(words(1, 1, 1), 'Some results are shown to 1 of 1 student. 1 score may change: answers are not marked yet.'); // prettier-ignore
  assert.equal(words(0, 2, 2), 'Some results are shown to 0 of 2 students. 2 scores may change: answers are not marked yet.'); // prettier-ignore
});

test('whose score changes: 0, 1, 2', () => {
  const none = { up: 0, down: 0, unchanged: 0, waitedInVain: 0, willWait: 0 };
  assert.equal(effectWords({ ...none, unchanged: 3 }), 'No score changes');
  assert.equal(effectWords({ ...none, up: 1, unchanged: 1 }), '1 score goes up, 1 stays');
  assert.equal(
    effectWords({ ...none, up: 2, down: 1, unchanged: 0 }),
    '2 scores go up, 1 score goes down, 0 stay',
  );
});

test('each ready-made plan is found again, and one of the teacher’s own is none of them', () => {
  for (const ready of READY_MADE) assert.equal(readyMadeOf(ready.plan), ready);
  const [usual] = READY_MADE;
  assert.ok(usual);
  const own = { ...usual.plan.aspects, score: { when: 'never' as const, only: 'all' as const } };
  assert.equal(readyMadeOf({ ...usual.plan, aspects: own }), null);
});

test('the quiet line of a quiz: what is usual, and what is not', () => {
  const lines = (more: object) =>
    quizRules({ ...emptyContent('T'), ...more }, { n: 12, d: 1 }).map(({ words, own }) => (own ? `! ${words}` : words)); // prettier-ignore
  const usual = ['1 point each', 'one question per page', 'English', 'out of 12, to hundredths'];
  assert.deepEqual(lines({}), usual);
  assert.deepEqual(
    lines({ penalty: { kind: 'share', share: { n: 1, d: 4 } }, shuffled: true, topic: 'Flow' }),
    [...usual, '! a wrong answer costs 25% of the points', '! questions shuffled for each student', 'Flow'],
  );
  assert.equal(lines({ defaultPoints: { n: 2, d: 1 } })[0], '! 2 points each');
});
