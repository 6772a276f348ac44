import assert from 'node:assert/strict';
import { test } from 'node:test';
import { isKnown, type KnownLeak } from '@/core/quiz/plan/knownLeak';

const LEAK: KnownLeak = {
  kind: 'others', aspects: ['feedback', 'questions'], tellers: ['a', 'b'], hearers: ['c', 'd'], from: 10, until: 20,
}; // prettier-ignore

const cases: [what: string, leak: Partial<KnownLeak>, known: boolean][] = [
  ['the same', {}, true],
  ['less of it', { aspects: ['questions'] }, true],
  ['fewer who tell', { tellers: ['b'] }, true],
  ['fewer who hear', { hearers: ['c'] }, true],
  ['later', { from: 15 }, true],
  ['a shorter time', { until: 19 }, true],
  ['more of it', { aspects: ['feedback', 'rightAnswers'] }, false],
  ['somebody else tells', { tellers: ['a', 'x'] }, false],
  ['somebody else hears', { hearers: ['c', 'd', 'e'] }, false],
  ['sooner', { from: 9 }, false],
  ['longer', { until: 21 }, false],
  ['with no end', { until: null }, false],
  ['of another kind', { kind: 'self' }, false],
];
for (const [what, leak, known] of cases)
  test(`a leak that is ${what} is ${known ? 'known' : 'named again'}`, () => {
    assert.equal(isKnown({ ...LEAK, ...leak }, [LEAK]), known);
    assert.equal(isKnown({ ...LEAK, ...leak }, []), false);
  });
test('one that was known without end is known for any end', () => {
  assert.ok(isKnown(LEAK, [{ ...LEAK, until: null }]));
});
