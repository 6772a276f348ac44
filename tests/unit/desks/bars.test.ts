import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import type { Earned, Given } from '@/core/checking/ways';
import { barsOf, comparedWith, type Compared } from '@/desks/write/margin/bars';
import { share } from '../support/support';

const NOTHING: Compared = { latest: null, before: null };
const earned = (spread: Record<string, number>, waiting = 0): Earned => ({
  mean: share('1'),
  spread: Object.entries(spread).map(([points, times]) => ({ points: share(points), times })),
  waiting,
});
const given = (...texts: string[]): Given[] =>
  texts.map((text) => ({ answer: { kind: 'phrase', text }, times: 1 }));
const ADA = given('silt', 'mud');

describe('what is compared with what was before', () => {
  const half = { given: ADA, now: earned({ 0: 1, 1: 1 }) };
  const full = { given: given('silt', 'mud'), now: earned({ 1: 2 }) };
  const steps: [name: string, results: (typeof half)[], before: Earned | null][] = [
    ['one result is compared with nothing', [half], null],
    ['the same answers by other rules are', [half, full], half.now],
    ['and stay so where the same comes again', [half, full, full], half.now],
    ['back again, with what was last', [half, full, half], full.now],
    ['other answers are not: nobody changed a rule', [half, { given: given('sand'), now: full.now }], null],
    ['after other answers came, nothing before them counts', [half, full, { given: given('sand'), now: half.now }], null],
  ]; // prettier-ignore
  for (const [name, results, before] of steps)
    test(name, () => assert.deepEqual(results.reduce(comparedWith, NOTHING).before, before));
});

describe('bars', () => {
  test('one for each number of points, now and before', () => {
    const bars = barsOf(earned({ 0: 6, 2: 20 }), earned({ 0: 26 }), 2);
    assert.deepEqual(
      bars.map(({ label, now, before }) => [label, now, before]),
      [
        ['0', 6, 26],
        ['2', 20, 0],
      ],
    );
    assert.deepEqual(barsOf(earned({ 1: 3 }), null, 1)[0]?.before, null);
  });

  test('a value on the edge of two stretches is in one of them', () => {
    const edges = { '-7/4': 0, '-1/4': 0, '1/4': 0, '7/4': 1 };
    const bars = barsOf(earned(edges), earned({ 0: 0, '1/2': 0, '21/4': 0 }), 4);
    assert.equal(
      bars.reduce((sum, { now }) => sum + now, 0),
      1,
    );
  });

  test('law: none reaches above the picture, nobody is lost, the most reaches its top', () => {
    const some = fc.array(fc.tuple(fc.integer({ min: -8, max: 24 }), fc.integer({ min: 0, max: 40 })), {
      maxLength: 15,
    });
    const sides = (list: [number, number][]) =>
      earned(Object.fromEntries(list.map(([quarters, times]) => [`${quarters}/4`, times])));
    fc.assert(
      fc.property(some, fc.option(some), (now, before) => {
        const [a, b] = [sides(now), before && sides(before)];
        const bars = barsOf(a, b, 4);
        const total = (one: Earned) => one.spread.reduce((sum, { times }) => sum + times, 0);
        assert.equal(
          bars.reduce((sum, bar) => sum + bar.now, 0),
          total(a),
        );
        if (b)
          assert.equal(
            bars.reduce((sum, bar) => sum + (bar.before ?? 0), 0),
            total(b),
          );
        const heights = bars.flatMap(({ height, heightBefore }) => [height, heightBefore]);
        assert.ok(heights.every((height) => height >= 0 && height <= 1));
        if (total(a) > 0) assert.equal(Math.max(...heights), 1);
      }),
    );
  });
});
