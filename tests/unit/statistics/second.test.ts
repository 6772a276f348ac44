import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import type { ClassPapers } from '@/core/statistics/classPapers';
import { completePapers, questionFigures } from '@/core/statistics/questions';
import {
  correlationOf,
  deviationOf,
  medianOf,
  modesOf,
  quartilesOf,
  sampleDeviationOf,
  varianceOf,
} from '@/core/statistics/spread';
import { wholeFigures } from '@/core/statistics/whole';
import { runs } from '../../runs';

/** The same figures once more, by other ways: in whole numbers of any size, by matrices, and one paper after the other. */

const close = (value: number | null | undefined, expected: number | null, what: string) => {
  if (expected === null) return assert.equal(value, null, what);
  assert.ok(
    value !== null &&
      value !== undefined &&
      Math.abs(value - expected) <= 1e-9 * Math.max(1, Math.abs(expected)),
    `${what}: ${value} ≠ ${expected}`,
  );
};

const big = (values: readonly number[]) => values.map(BigInt);
const sumBig = (values: readonly bigint[]) => values.reduce((a, b) => a + b, 0n);
/** n · Σxy − Σx · Σy: n² times what two lists vary together. */
const together = (a: readonly number[], b: readonly number[]): bigint => {
  const [x, y] = [big(a), big(b)];
  return BigInt(a.length) * sumBig(x.map((one, at) => one * (y[at] ?? 0n))) - sumBig(x) * sumBig(y);
};

/** Pearson's r out of exact sums. */
function secondCorrelation(a: readonly number[], b: readonly number[]): number | null {
  const [xx, yy, xy] = [together(a, a), together(b, b), together(a, b)];
  return xx === 0n || yy === 0n ? null : Number(xy) / (Math.sqrt(Number(xx)) * Math.sqrt(Number(yy)));
}

/** Alpha by the sum of the whole matrix of covariances and that of its diagonal. */
function secondAlpha(columns: readonly (readonly number[])[]): number | null {
  const k = columns.length;
  let whole = 0n;
  let diagonal = 0n;
  for (const a of columns)
    for (const b of columns) {
      whole += together(a, b);
      if (a === b) diagonal += together(a, a);
    }
  return k < 2 || whole === 0n ? null : (k / (k - 1)) * (Number(whole - diagonal) / Number(whole));
}

/** The upper and the lower end by handing out places: each group of equal totals takes what is left, each paper its part. */
function secondDiscrimination(
  rows: readonly (readonly number[])[],
  at: number,
  possible: number,
): number | null {
  const totals = rows.map((row) => row.reduce((a, b) => a + b, 0));
  const levels = [...new Set(totals)].sort((a, b) => b - a);
  if (levels.length === 1) return null;
  const size = Math.max(1, Math.round(0.27 * rows.length + 1e-12));
  const end = (order: readonly number[]): number => {
    let places = size;
    let sum = 0;
    for (const level of order) {
      const papers = rows.filter((_, row) => totals[row] === level);
      const taken = Math.min(places, papers.length);
      sum += (taken / papers.length) * papers.reduce((all, row) => all + (row[at] ?? 0), 0);
      places -= taken;
    }
    return sum / (size * possible);
  };
  return end(levels) - end([...levels].reverse());
}

const classOf = (
  rows: readonly (readonly number[])[],
  possible: readonly number[],
  d: number,
): ClassPapers => ({
  questions: possible.map((n, index) => ({
    id: `q${index}`,
    index,
    possible: { n, d: 1 },
    standing: 'counts',
  })),
  papers: rows.map((row, at) => ({
    studentId: `s${at}`,
    attemptIds: [`a${at}`],
    points: row.map((n) => ({ n, d })),
    isComplete: true,
  })),
});

/** Made-up classes: points in parts of d, some below 0, with many ties. */
const made = fc
  .record({
    questions: fc.integer({ min: 1, max: 8 }),
    papers: fc.integer({ min: 10, max: 40 }),
    d: fc.constantFrom(1, 2, 3, 7, 1000),
  })
  .chain(({ questions, papers, d }) =>
    fc.record({
      d: fc.constant(d),
      possible: fc.constant(Array.from({ length: questions }, (_, at) => 1 + (at % 3))),
      rows: fc.array(
        fc.array(fc.integer({ min: -1, max: 3 }), { minLength: questions, maxLength: questions }),
        {
          minLength: papers,
          maxLength: papers,
        },
      ),
    }),
  );

describe('the figures of made-up classes by another way', () => {
  test('questions and the whole', () => {
    fc.assert(
      fc.property(made, ({ d, possible, rows }) => {
        const papers = classOf(rows, possible, d);
        const figures = questionFigures(papers);
        const columns = possible.map((_, at) => rows.map((row) => row[at] ?? 0));
        for (const [at, figure] of figures.entries()) {
          const column = columns[at] ?? [];
          const rest = rows.map((row) => row.reduce((a, b) => a + b, 0) - (row[at] ?? 0));
          const points = possible[at] ?? 1;
          close(figure.facility, Number(sumBig(big(column))) / (d * points * rows.length), 'facility');
          close(figure.itemRest, secondCorrelation(column, rest), 'item-rest');
          close(figure.discrimination, secondDiscrimination(rows, at, points * d), 'discrimination');
        }
        const alpha = secondAlpha(columns);
        const whole = wholeFigures(completePapers(papers));
        close(whole.alpha, alpha, 'alpha');
        const totals = rows.map((row) => row.reduce((a, b) => a + b, 0));
        const deviation = Math.sqrt(Number(together(totals, totals))) / (totals.length * d);
        close(
          whole.standardError,
          alpha === null || alpha < 0 ? null : deviation * Math.sqrt(1 - alpha),
          'standard error',
        );
        if (whole.interval && whole.alpha !== null)
          assert.ok(whole.interval[0] <= whole.alpha + 1e-12 && whole.alpha <= whole.interval[1] + 1e-12);
      }),
      { numRuns: runs(1500) },
    );
  });

  test('scores', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 1, maxLength: 40 }), (values) => {
        const spread = together(values, values);
        const n = values.length;
        close(varianceOf(values), Number(spread) / n ** 2, 'variance');
        close(deviationOf(values), Math.sqrt(Number(spread)) / n, 'deviation');
        close(
          sampleDeviationOf(values),
          n < 2 ? null : Math.sqrt(Number(spread) / (n * (n - 1))),
          'as of a sample',
        );
        // Half of the values lie on either side of the median, and of the quartiles a half of that half.
        const below = (value: number, all: readonly number[]) => all.filter((one) => one < value).length;
        const above = (value: number, all: readonly number[]) => all.filter((one) => one > value).length;
        const isMiddle = (value: number, all: readonly number[]) =>
          2 * below(value, all) <= all.length && 2 * above(value, all) <= all.length;
        assert.ok(isMiddle(medianOf(values) ?? NaN, values));
        const ordered = [...values].sort((a, b) => a - b);
        const quartiles = quartilesOf(values);
        if (n < 2) return assert.equal(quartiles, null);
        assert.ok(quartiles && isMiddle(quartiles[0], ordered.slice(0, Math.floor(n / 2))));
        assert.ok(isMiddle(quartiles[1], ordered.slice(Math.ceil(n / 2))));
        const most = Math.max(...values.map((one) => values.filter((other) => other === one).length));
        const expected = ordered.filter((one, at) => {
          const times = values.filter((other) => other === one).length;
          return times === most && most > 1 && ordered.indexOf(one) === at;
        });
        assert.deepEqual(modesOf(values), expected);
      }),
      { numRuns: runs(2000) },
    );
  });
});

describe('where a definition does not hold there is no figure', () => {
  const same = Array.from({ length: 12 }, () => [1, 2]);
  test('nobody differs', () => {
    const papers = classOf(same, [1, 2], 1);
    assert.deepEqual(
      questionFigures(papers).map(({ facility, discrimination, itemRest }) => [
        facility,
        discrimination,
        itemRest,
      ]),
      [
        [1, null, null],
        [1, null, null],
      ],
    );
    const { alpha, interval, standardError } = wholeFigures(completePapers(papers));
    assert.deepEqual([alpha, interval, standardError], [null, null, null]);
  });
  test('too few papers', () => {
    const papers = classOf([[1, 0], [0, 1], [1, 1], [0, 0], [1, 0], [0, 1], [1, 1], [0, 0], [1, 0]], [1, 1], 1); // prettier-ignore
    assert.deepEqual(
      questionFigures(papers).map(({ itemRest }) => itemRest),
      [null, null],
    );
    assert.equal(wholeFigures(completePapers(papers)).alpha, null);
    assert.notEqual(questionFigures(papers)[0]?.facility, null);
  });
  test('one question alone has no alpha; an alpha below 0 has no standard error', () => {
    const one = classOf(
      same.map((_, at) => [at % 2]),
      [1],
      1,
    );
    assert.equal(wholeFigures(completePapers(one)).alpha, null);
    const against = classOf(
      same.map((_, at) => [at % 2, (at + 1) % 3 === 0 ? 1 : (at + 1) % 2]),
      [1, 1],
      1,
    );
    const { alpha, standardError } = wholeFigures(completePapers(against));
    assert.ok(alpha !== null && alpha < 0);
    assert.equal(standardError, null);
  });
  test('questions that have nothing in common have an alpha of 0, and with it a standard error', () => {
    const rows = [[1, 0], [2, 0], [-1, 0], [3, 3], [0, 1], [1, -1], [0, 0], [0, 3], [2, 1], [-1, 3]]; // prettier-ignore
    const { alpha, standardError } = wholeFigures(completePapers(classOf(rows, [1, 2], 2)));
    assert.equal(alpha, 0);
    assert.ok(standardError !== null && standardError > 0);
  });
  test('values in pairs of which one side does not vary', () => {
    assert.equal(correlationOf([0.1, 0.1, 0.1], [1, 2, 3]), null);
    assert.equal(correlationOf([1, 2, 3], [0.3, 0.3, 0.3]), null);
    assert.equal(correlationOf([], []), null);
  });
  test('values of which none comes twice have no mode', () => assert.deepEqual(modesOf([1, 2, 3]), []));
});
