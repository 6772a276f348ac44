import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import type { StudentWork } from '@/core/checking/classWork';
import { ZERO } from '@/core/figures/fraction';
import { mostThatDiffers } from '@/core/statistics/bound';
import type { ClassPapers } from '@/core/statistics/classPapers';
import { completePapers, questionFigures } from '@/core/statistics/questions';
import { scoreFigures } from '@/core/statistics/scores';
import { wholeFigures } from '@/core/statistics/whole';

/** Four questions of 2, 2, 2 and 1 points, eleven papers. */
const ROWS = '2221 2221 2221 2221 2211 2111 1110 2010 1011 1001 0100'
  .split(' ')
  .map((row) => [...row].map(Number));
const POSSIBLE = [2, 2, 2, 1];

const near = (value: number | null | undefined, expected: number) =>
  assert.ok(
    value !== null && value !== undefined && Math.abs(value - expected) < 1e-9,
    `${value} ≠ ${expected}`,
  );

const PAPERS: ClassPapers = {
  questions: POSSIBLE.map((n, index) => ({
    id: `q${index + 1}`,
    index,
    possible: { n, d: 1 },
    standing: 'counts',
  })),
  papers: ROWS.map((row, at) => ({
    studentId: `s${at}`,
    attemptIds: [`a${at}`],
    points: row.map((n) => ({ n, d: 1 })),
    isComplete: true,
  })),
};

const recorded = (n: number): Pick<StudentWork, 'recorded'> => ({
  recorded: {
    score: { n, d: 1 },
    exact: { n, d: 1 },
    outOf: { n: 7, d: 1 },
    waiting: ZERO,
    provisional: false,
    counted: 0,
    none: false,
  },
});

describe('the worked class', () => {
  test('its scores', () => {
    const figures = scoreFigures(ROWS.map((row) => recorded(row.reduce((a, b) => a + b))));
    near(figures.mean, 51 / 11);
    assert.equal(figures.median, 5);
    assert.deepEqual(figures.modes, [7]);
    near(figures.deviation, 2.185602778);
    assert.deepEqual(figures.quartiles, [3, 7]);
  });
  const expected = [
    [17 / 22, 11 / 18, 0.699426074],
    [13 / 22, 7 / 9, 0.63633629],
    [13 / 22, 5 / 6, 0.822154558],
    [8 / 11, 5 / 9, 0.500370233],
  ] as const;
  for (const [index, [facility, discrimination, itemRest]] of expected.entries())
    test(`question ${index + 1}`, () => {
      const figures = questionFigures(PAPERS)[index];
      near(figures?.facility, facility);
      near(figures?.discrimination, discrimination);
      near(figures?.itemRest, itemRest);
    });
  test('the whole', () => {
    const { alpha, interval, standardError } = wholeFigures(completePapers(PAPERS));
    near(alpha, 712 / 867);
    near(alpha, 0.821222607);
    near(interval?.[0], 0.551055765);
    near(interval?.[1], 0.946005287);
    near(standardError, 0.924118223);
  });
});

describe('the bound of a spot check', () => {
  // 0 of 40, and limits of C. J. Clopper and E. S. Pearson's kind as solved for from the binomial sums themselves.
  const binomialAtMost = (k: number, n: number, p: number): number => {
    let term = (1 - p) ** n;
    let sum = term;
    for (let i = 1; i <= k; i++) {
      term *= ((n - i + 1) / i) * (p / (1 - p));
      sum += term;
    }
    return sum;
  };
  test('0 of 40 is 7.2 %', () => near(Math.round(mostThatDiffers(0, 40, 0.95) * 1000) / 1000, 0.072));
  for (const [k, n, confidence] of [
    [1, 20, 0.95],
    [3, 40, 0.95],
    [2, 60, 0.975],
    [19, 20, 0.95],
    [7, 200, 0.99],
  ] as const)
    test(`${k} of ${n} at ${confidence}: so few have just the probability that is left`, () =>
      near(binomialAtMost(k, n, mostThatDiffers(k, n, confidence)), 1 - confidence));
  test('all that were looked at differ, and none', () => {
    assert.equal(mostThatDiffers(5, 5, 0.95), 1);
    assert.equal(mostThatDiffers(0, 0, 0.95), 1);
    assert.throws(() => mostThatDiffers(6, 5, 0.95), RangeError);
  });
});
