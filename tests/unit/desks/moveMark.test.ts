import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { at as once, NEVER, planOf, waitsFor, type Delay } from '@/core/quiz/plan/plan';
import { delayBetween, withMoved } from '@/desks/plan/lanes/moveMark';
import type { PlanMark } from '@/workers/classDesk';

const at = Date.parse;
const ZONE = 'Europe/Berlin';
const CLOSES = at('2026-11-24T16:00+01:00');

describe('how much later', () => {
  const cases: [from: string, to: string, delay: Delay | null][] = [
    ['2026-11-24T16:00+01:00', '2026-11-24T16:00+01:00', null],
    ['2026-11-24T16:00+01:00', '2026-11-24T15:00+01:00', null],
    ['2026-11-24T16:00+01:00', '2026-11-24T16:15+01:00', { amount: 15, unit: 'minute' }],
    ['2026-11-24T16:00+01:00', '2026-11-24T18:00+01:00', { amount: 2, unit: 'hour' }],
    ['2026-11-24T16:00+01:00', '2026-11-26T16:00+01:00', { amount: 2, unit: 'day' }],
    ['2026-11-24T16:00+01:00', '2026-11-26T17:00+01:00', { amount: 49, unit: 'hour' }],
    ['2027-03-27T16:00+01:00', '2027-03-28T16:00+02:00', { amount: 1, unit: 'day' }],
    ['2027-03-27T16:00+01:00', '2027-03-28T17:00+02:00', { amount: 24, unit: 'hour' }],
  ];
  for (const [from, to, delay] of cases)
    test(`${from} to ${to}`, () => assert.deepEqual(delayBetween(at(from), at(to), ZONE), delay));
});

describe('a mark that is moved on the line', () => {
  const mark = (more: Partial<PlanMark>): PlanMark => ({
    aspect: 'rightAnswers', at: CLOSES, follows: 'delay', soonest: CLOSES, ...more,
  }); // prettier-ignore
  const group = { kind: 'group', classId: 'c', group: 'blue' } as const;
  const plan = planOf(waitsFor(once('closed')));
  const own = { id: 'own', for: group, aspects: { rightAnswers: waitsFor(once('closed')) } };
  const hour = waitsFor({ when: 'closed', delay: { amount: 1, unit: 'hour' } });

  test('changes the delay of the sentence, for every aspect of the mark and no other', () => {
    const moved = withMoved({ plan, ownPlans: [] }, null, [mark({}), mark({ aspect: 'feedback' })], CLOSES + 3_600_000, ZONE); // prettier-ignore
    assert.deepEqual(moved.plan, planOf(waitsFor(once('closed')), { rightAnswers: hour, feedback: hour }));
  });
  test('moved back to what it waits for, it comes at once', () => {
    const late = planOf(NEVER, { rightAnswers: hour });
    const marks = [mark({ at: CLOSES + 3_600_000 })];
    const moved = withMoved({ plan: late, ownPlans: [] }, null, marks, CLOSES, ZONE);
    assert.deepEqual(moved.plan.aspects.rightAnswers, waitsFor(once('closed')));
  });
  test('changes the date where it follows one', () => {
    const dated = planOf(NEVER, { score: waitsFor({ when: 'date', at: CLOSES }) });
    const marks = [mark({ aspect: 'score', follows: 'date', soonest: 0 })];
    const moved = withMoved({ plan: dated, ownPlans: [] }, null, marks, CLOSES - 900_000, ZONE);
    assert.deepEqual(moved.plan.aspects.score, waitsFor({ when: 'date', at: CLOSES - 900_000 }));
  });
  test('is moved in the plan of the lane’s own, where it has one for it', () => {
    const plans = { plan, ownPlans: [own] };
    const moved = withMoved(plans, group, [mark({})], CLOSES + 3_600_000, ZONE);
    assert.deepEqual(moved, { plan, ownPlans: [{ ...own, aspects: { rightAnswers: hour } }] });
    const other = withMoved(plans, group, [mark({ aspect: 'feedback' })], CLOSES + 3_600_000, ZONE);
    assert.deepEqual([other.plan.aspects.feedback, other.ownPlans], [hour, [own]]);
  });
});
