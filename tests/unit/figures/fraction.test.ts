import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  add,
  clamp,
  compare,
  equal,
  fraction,
  multiply,
  readDecimal,
  roundTo,
  subtract,
  sum,
  toDecimalText,
  toPercentText,
  type Fraction,
  FINEST,
} from '@/core/figures/fraction';

const any = fc
  .tuple(fc.integer({ min: -10_000, max: 10_000 }), fc.integer({ min: 1, max: 1000 }))
  .map(([n, d]) => fraction(n, d));

/** Exact arithmetic on big integers, to hold ours against. */
const sameAs = (value: Fraction, n: bigint, d: bigint): boolean =>
  BigInt(value.n) * d === n * BigInt(value.d);

test('a third of 2 points three times is 2, never 1.99', () => {
  const third = multiply({ n: 1, d: 3 }, { n: 2, d: 1 });
  assert.deepEqual(sum([third, third, third]), { n: 2, d: 1 });
});

test('sums and products are exact, and in lowest terms', () => {
  fc.assert(
    fc.property(any, any, (a, b) => {
      const [an, ad, bn, bd] = [a.n, a.d, b.n, b.d].map(BigInt) as [bigint, bigint, bigint, bigint];
      assert.ok(sameAs(add(a, b), an * bd + bn * ad, ad * bd));
      assert.ok(sameAs(subtract(a, b), an * bd - bn * ad, ad * bd));
      assert.ok(sameAs(multiply(a, b), an * bn, ad * bd));
      assert.equal(compare(a, b) > 0, an * bd > bn * ad);
      assert.deepEqual(fraction(add(a, b).n, add(a, b).d), add(a, b));
    }),
  );
});

test('what does not fit into safe integers is worked out with big ones', () => {
  const big = { n: 9_007_199_254_740_881, d: 9_007_199_254_740_847 };
  assert.deepEqual(multiply(big, { n: 9_007_199_254_740_847, d: 9_007_199_254_740_881 }), { n: 1, d: 1 });
  assert.equal(compare(big, { n: 1, d: 1 }), 1);
});

test('what no exact figures can hold is the nearest millionth of a millionth, and never nothing', () => {
  const odd = [999_983, 999_979, 999_961].map((d) => ({ n: 1, d }));
  const near = odd.reduce(add);
  assert.equal(near.d <= FINEST, true);
  assert.ok(Math.abs(near.n / near.d - odd.reduce((sum, { d }) => sum + 1 / d, 0)) < 1e-12);
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: -1e6, max: 1e6 }), fc.integer({ min: 1, max: 1e6 })), { maxLength: 60 }), (all) => {
      const shares = all.map(([n, d]) => fraction(n, d));
      const made = shares.reduce(add, { n: 0, d: 1 });
      const plain = all.reduce((sum, [n, d]) => sum + n / d, 0);
      assert.ok(Math.abs(made.n / made.d - plain) <= 1e-9 * Math.max(1, Math.abs(plain)));
    }),
  ); // prettier-ignore
});

test('shown with at most 2 decimals, halves away from zero', () => {
  const cases: [number, number, string][] = [
    [8, 3, '2.67'],
    [5, 2, '2.5'],
    [2, 1, '2'],
    [1, 200, '0.01'],
    [-1, 200, '-0.01'],
    [-1, 1000, '0'],
    [1005, 1000, '1.01'],
    [0, 1, '0'],
    [199, 2, '99.5'],
  ];
  for (const [n, d, text] of cases) assert.equal(toDecimalText(fraction(n, d)), text, `${n}/${d}`);
  assert.equal(toPercentText({ n: 1, d: 3 }), '33.33');
  assert.deepEqual(roundTo({ n: 49, d: 5 }, 2), { n: 10, d: 1 });
});

test('a typed decimal of at most 3 places is read exactly, anything else is refused', () => {
  const cases: Record<string, Fraction | null> = {
    '2': { n: 2, d: 1 },
    '2,5': { n: 5, d: 2 },
    ' 0.125 ': { n: 1, d: 8 },
    '.5': { n: 1, d: 2 },
    '5.': { n: 5, d: 1 },
    '−1': { n: -1, d: 1 },
    '': null,
    '.': null,
    '1.2345': null,
    '1e3': null,
    'two': null,
    '1 000': null,
  }; // prettier-ignore
  for (const [text, value] of Object.entries(cases))
    assert.deepEqual(readDecimal(text), value, JSON.stringify(text));
});

test('a decimal that is shown exactly is read back as the same', () => {
  fc.assert(
    fc.property(fc.integer({ min: -99_999_999, max: 99_999_999 }), (n) => {
      const value = fraction(n, 100);
      const back = readDecimal(toDecimalText(value));
      assert.ok(back && equal(back, value));
    }),
  );
});

test('clamping keeps within bounds, and a fraction without a proper denominator is refused', () => {
  assert.deepEqual(clamp({ n: 3, d: 2 }, { n: 0, d: 1 }, { n: 1, d: 1 }), { n: 1, d: 1 });
  assert.throws(() => fraction(1, 0), RangeError);
  assert.throws(() => fraction(0.5), RangeError);
});
