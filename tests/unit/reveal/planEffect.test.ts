import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { concernsNobody, planEffect, type PlanEffect } from '@/core/reveal/planEffect';
import { Reveal } from '@/core/reveal/whatIsShown';
import { instant, sceneOf, type GivenScene } from '../support/scenes';

const DAY: GivenScene = {
  missing: 'empty',
  quiz: { from: '2026-11-23T08:00:00+01:00', until: '2026-11-24T16:00:00+01:00', attempts: 1 },
  students: [{ id: 'Ada' }, { id: 'Bo' }, { id: 'Cleo' }, { id: 'Dan' }],
  attempts: [
    { student: 'Ada', number: 1, begun: '2026-11-23T09:00:00+01:00', handedIn: '2026-11-23T09:30:00+01:00' },
    { student: 'Bo', number: 1, begun: '2026-11-23T09:00:00+01:00', handedIn: '2026-11-23T09:30:00+01:00' },
    { student: 'Cleo', number: 1, begun: '2026-11-23T09:50:00+01:00', handedIn: null },
  ],
};
const effectOf = (before: GivenScene['plan'], after: GivenScene['plan'], own = {}): PlanEffect => {
  const at = instant('2026-11-23T10:00:00+01:00');
  const scene = (plan: GivenScene['plan'], more = {}) =>
    new Reveal(sceneOf({ ...DAY, plan: plan ?? {}, ...more }), at);
  return planEffect(scene(before), scene(after, own));
};

describe('what another plan would do for the students of now', () => {
  const AT_ONCE = { score: ['handedIn'], feedback: ['handedIn'] };
  test('nothing, where it is the same', () => {
    const effect = effectOf(AT_ONCE, AT_ONCE);
    assert.deepEqual(effect, { shows: [], hides: [], moves: 0 });
    assert.ok(concernsNobody(effect));
  });
  test('it hides from those who see, and moves it for those who do not yet', () => {
    assert.deepEqual(effectOf(AT_ONCE, { score: ['handedIn'], feedback: ['closed'] }), {
      shows: [],
      hides: [{ aspect: 'feedback', students: 2 }],
      moves: 2,
    });
  });
  test('it shows at once', () => {
    assert.deepEqual(effectOf({ score: ['closed'] }, { score: ['handedIn'] }), {
      shows: [{ aspect: 'score', students: 2 }],
      hides: [],
      moves: 2,
    });
  });
  test('only another time moves', () => {
    const effect = effectOf({ score: ['closed'] }, { score: ['closed + 1 hour'] });
    assert.deepEqual([effect.shows, effect.hides, effect.moves], [[], [], 4]);
    assert.ok(!concernsNobody(effect));
  });
  test('a plan of one student concerns that one', () => {
    const own = { ownPlans: { 'student Ada': { feedback: 'never' } } };
    assert.deepEqual(effectOf(AT_ONCE, AT_ONCE, own), {
      shows: [],
      hides: [{ aspect: 'feedback', students: 1 }],
      moves: 0,
    });
  });
});
