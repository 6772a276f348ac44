import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { lanesOf } from '@/core/reveal/lanes';
import { leaksOf } from '@/core/reveal/leaks';
import { Reveal } from '@/core/reveal/whatIsShown';
import { instant, sceneOf, type GivenScene } from '../support/scenes';

/** Who can tell whom something: the students of the lanes on both sides. */
function told(given: GivenScene, aspect = 'feedback'): string[] {
  const reveal = new Reveal(sceneOf(given), instant('2026-11-23T08:00:00+01:00'));
  const names = (lane: ReturnType<typeof lanesOf>[number]) =>
    lane.seats.map(({ seat }) => seat.studentId).join('+');
  return leaksOf(reveal)
    .filter((leak) => leak.aspect === aspect && leak.kind === 'others')
    .map(({ tellers, hearers }) => `${names(tellers)} > ${names(hearers)}`);
}

describe('everyone handed in or closed', () => {
  const quiz = { from: '2026-11-23T08:00:00+01:00', until: '2026-11-24T16:00:00+01:00', attempts: 1 };
  const groups = { blue: { attempts: 1 }, green: { attempts: 1 } };
  const longer = { until: '2026-11-25T16:00:00+01:00' };
  const given = (scope: string, ...ids: [id: string, group: string, window?: object][]): GivenScene => ({
    quiz,
    groups,
    students: ids.map(([id, group, window]) => ({ id, groups: [group], ...(window && { window }) })),
    plan: { feedback: [`allDone ${scope}`] },
  });

  test('of all: nobody is told before handing in', () => {
    assert.deepEqual(told(given('all', ['Ada', 'blue'], ['Bo', 'green'], ['Cleo', 'blue', longer])), []);
  });
  for (const order of [
    [
      ['Ada', 'blue'],
      ['Bo', 'green'],
    ],
    [
      ['Bo', 'green'],
      ['Ada', 'blue'],
    ],
  ] as [string, string][][])
    test(`of the group: one who sits with another group tells, whoever of the lane comes first (${order.join()})`, () => {
      const scene = given('group', ...order, ['Cleo', 'blue', longer]);
      const lane = order.map(([id]) => id).join('+');
      // Ada and Bo are no group together: each is told by the other, too.
      assert.deepEqual(told(scene), [`${lane} > ${lane}`, `${lane} > Cleo`, `Cleo > ${lane}`]);
    });
  test('of the group, all in one: nobody is told', () => {
    assert.deepEqual(told(given('group', ['Ada', 'blue'], ['Bo', 'blue'], ['Cleo', 'blue', longer])), []);
  });
  test('with more than one attempt it is told between them', () => {
    const scene = given('all', ['Ada', 'blue'], ['Cleo', 'blue', { ...longer, attempts: 2 }]);
    assert.deepEqual(told(scene), ['Ada > Cleo']);
  });
});
