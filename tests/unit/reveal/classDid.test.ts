import assert from 'node:assert/strict';
import { test } from 'node:test';
import { fraction, ONE, ZERO } from '@/core/figures/fraction';
import { classDid } from '@/core/reveal/classDid';
import type { RecordedTotal } from '@/core/scoring/joinAttempts';

/** A recorded score of so many points out of 7. */
const recorded = (points: number, more: Partial<RecordedTotal> = {}): RecordedTotal =>
  ({
    score: fraction(points),
    outOf: fraction(7),
    waiting: ZERO,
    provisional: false,
    counted: 0,
    ...more,
  }) as RecordedTotal;

test('eleven papers: the mean, the median, and the medians of the halves without the middle one', () => {
  const did = classDid(
    [7, 7, 7, 7, 6, 5, 3, 3, 3, 2, 1].map((one) => recorded(one)),
    11,
    fraction(7),
  );
  assert.ok(did);
  assert.ok(Math.abs(did.mean - 51 / 11) < 1e-9);
  assert.deepEqual(did.quartiles, [3, 5, 7]);
  assert.equal(did.papers, 11);
});

test('an even number of papers: the mean of the two in the middle', () => {
  const did = classDid(
    [1, 2, 3, 4].map((one) => recorded(one)),
    4,
    fraction(7),
  );
  assert.deepEqual(did?.quartiles, [1.5, 2.5, 3.5]);
});

test('scores that can still change, and students without one, are left out', () => {
  const open = recorded(7, { provisional: true });
  assert.deepEqual(classDid([recorded(1), open, null, recorded(3)], 2, ONE)?.mean, 2);
  assert.equal(classDid([recorded(1), open, null], 1, ONE), null);
});
