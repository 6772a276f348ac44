import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { bestPairs } from '@/core/figures/bestPairs';
import { add, compare, fraction, ZERO, type Fraction } from '@/core/figures/fraction';
import { runs } from '../../runs';

const row = (...values: (number | null)[]): (Fraction | null)[] =>
  values.map((value) => (value === null ? null : fraction(value, 4)));

test('pairs with the highest sum; of equal ones the best row by row, then the earlier column', () => {
  const cases: [title: string, values: (Fraction | null)[][], pairs: (number | null)[]][] = [
    ['nothing', [], []],
    ['first come would leave the second with nothing', [row(4, 4), row(4, null)], [1, 0]],
    ['a chain', [row(4, 4, null), row(null, 4, 4), row(4, null, null)], [1, 2, 0]],
    ['the best in turn is not the best in all', [row(4, 2), row(4, null)], [1, 0]],
    ['equal sums: the first row has the higher', [row(3, 4), row(3, 4)], [1, 0]],
    ['equal in everything: the earlier column', [row(4, 4)], [0]],
    ['nothing is taken for 0 or less', [row(0, -1)], [null]],
    ['more rows than columns', [row(1), row(2), row(2)], [null, 0, null]],
  ];
  for (const [title, values, pairs] of cases) assert.deepEqual(bestPairs(values), pairs, title);
});

test('law: no other pairing has a higher sum', () => {
  const value = fc.option(fc.tuple(fc.integer({ min: -2, max: 6 }), fc.integer({ min: 1, max: 6 })));
  const size = fc.integer({ min: 1, max: 4 });
  const tables = fc.tuple(size, size).chain(([rows, columns]) =>
    fc.array(fc.array(value, { minLength: columns, maxLength: columns }), {
      minLength: rows,
      maxLength: rows,
    }),
  );
  const best = (values: (Fraction | null)[][], at: number, used: Set<number>): Fraction => {
    if (at === values.length) return ZERO;
    let most = best(values, at + 1, used);
    (values[at] ?? []).forEach((one, column) => {
      if (!one || used.has(column)) return;
      const sum = add(one, best(values, at + 1, new Set([...used, column])));
      if (compare(sum, most) > 0) most = sum;
    });
    return most;
  };
  fc.assert(
    fc.property(tables, (table) => {
      const values = table.map((cells) => cells.map((cell) => (cell ? fraction(cell[0], cell[1]) : null)));
      const pairs = bestPairs(values);
      const given = pairs.filter((column) => column !== null);
      const sum = pairs.reduce<Fraction>(
        (all, column, at) => (column === null ? all : add(all, values[at]?.[column] ?? ZERO)),
        ZERO,
      );
      return new Set(given).size === given.length && compare(sum, best(values, 0, new Set())) === 0;
    }),
    { numRuns: runs(500) },
  );
});
