import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { wallClock } from '@/core/figures/wallClock';
import { hasTimes, inZone } from '@/core/quiz/times/inZone';
import { emptyContent, NEW_STANDING } from '@/core/quiz/newQuiz';
import { NEVER, planOf, type RevealPlan } from '@/core/quiz/plan/plan';
import type { QuizStanding } from '@/core/quiz/quiz';

const quizIn = (zone: string, standing: Partial<QuizStanding>, plan: RevealPlan = planOf(NEVER)) => ({
  content: { ...emptyContent('', zone), plan },
  standing: { ...NEW_STANDING, ...standing },
});
const at = Date.parse;
const on = (when: string): RevealPlan => planOf({ when: [{ when: 'date', at: at(when) }], only: 'all' });

describe('another zone keeps clock times', () => {
  const opening = { from: at('2026-11-23T08:00+01:00'), due: null, grace: 5, until: at('2026-11-24T16:00+01:00') }; // prettier-ignore
  test('16:00 stays 16:00, for the quiz, for a group, in the plan and in a plan of its own', () => {
    const group = { kind: 'group', classId: 'c', group: 'blue' } as const;
    const set = { until: at('2026-11-25T16:00+01:00'), due: null, attempts: 2 };
    const aspects = { score: on('2026-11-26T09:00+01:00').aspects.score };
    const quiz = quizIn(
      'Europe/Berlin',
      {
        opening,
        windows: [{ id: 'w', for: group, set }],
        plans: [{ id: 'p', for: group, aspects }],
      },
      on('2026-11-27T09:00+01:00'),
    );
    const { content, standing } = inZone(quiz, 'Europe/Lisbon', 0);
    assert.equal(content.zone, 'Europe/Lisbon');
    assert.deepEqual(standing.opening, {
      ...opening,
      from: at('2026-11-23T08:00+00:00'),
      until: at('2026-11-24T16:00+00:00'),
    });
    assert.deepEqual(standing.windows[0]?.set, { ...set, until: at('2026-11-25T16:00+00:00') });
    assert.deepEqual(content.plan, on('2026-11-27T09:00+00:00'));
    assert.deepEqual(standing.plans[0]?.aspects.score, on('2026-11-26T09:00+00:00').aspects.score);
  });
  test('milliseconds move nothing, on a day on which clocks change either', () => {
    const until = at('2036-11-01T15:46:08.500Z');
    const { standing } = inZone(
      quizIn('Pacific/Auckland', { opening: { ...opening, until } }),
      'America/St_Johns',
      0,
    );
    assert.equal(standing.opening?.until, at('2036-11-02T04:46:08.500-03:30'));
  });
  test('an end that has passed stays: what is closed is not open again', () => {
    const quiz = quizIn('Europe/Berlin', { opening });
    const { standing } = inZone(quiz, 'America/New_York', at('2026-11-24T16:30+01:00'));
    assert.deepEqual(standing.opening, opening);
  });
  test('an opening that has passed stays, its end moves', () => {
    const quiz = quizIn('Europe/Berlin', { opening });
    const { standing } = inZone(quiz, 'America/New_York', at('2026-11-23T10:00+01:00'));
    assert.deepEqual(standing.opening, { ...opening, until: at('2026-11-24T16:00-05:00') });
  });
  test('a time that is skipped there moves behind the gap; of one that comes twice the second counts', () => {
    const ends = (until: number) =>
      inZone(quizIn('UTC', { opening: { ...opening, until } }), 'Europe/Berlin', 0);
    assert.equal(ends(at('2027-03-28T02:30Z')).standing.opening?.until, at('2027-03-28T03:30+02:00'));
    assert.equal(ends(at('2026-10-25T02:30Z')).standing.opening?.until, at('2026-10-25T02:30+01:00'));
  });
  test('only typed times are times', () => {
    assert.equal(hasTimes(quizIn('UTC', {})), false);
    assert.equal(hasTimes(quizIn('UTC', { opening })), true);
    assert.equal(hasTimes(quizIn('UTC', {}, on('2026-11-27T09:00Z'))), true);
    const student = { kind: 'student', studentId: 's' } as const;
    const windows = (set: object) => [{ id: 'w', for: student, set }];
    assert.equal(hasTimes(quizIn('UTC', { windows: windows({ attempts: 2, until: null }) })), false);
    assert.equal(hasTimes(quizIn('UTC', { windows: windows({ due: 5 }) })), true);
  });
  test('whatever the instant and the zones, the clock says the same, but in a gap', () => {
    const zone = fc.constantFrom(
      'UTC',
      'Asia/Kolkata',
      'Pacific/Auckland',
      'America/St_Johns',
      'Europe/Berlin',
    );
    const instant = fc.integer({ min: at('2020-01-01T00:00Z'), max: at('2040-01-01T00:00Z') });
    fc.assert(
      fc.property(zone, zone, instant, (from, to, until) => {
        const { standing } = inZone(quizIn(from, { opening: { ...opening, until } }), to, 0);
        const [was, is] = [wallClock(until, from), wallClock(standing.opening?.until ?? 0, to)];
        assert.ok(is === was || (is > was && is - was <= 3_600_000));
        if (from === to) assert.ok(Math.abs((standing.opening?.until ?? 0) - until) <= 3_600_000);
      }),
    );
  });
});
