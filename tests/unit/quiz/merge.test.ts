import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { merge } from '@/core/quiz/merge';
import { runs } from '../../runs';

const SETTINGS = { numRuns: runs(2000), seed: 9, endOnFailure: true };

const clash = { ok: false } as const;
const is = <Value>(value: Value) => ({ ok: true, value }) as const;
const v = (id: string, credit = 1, forms: string[] = []) => ({ id, credit, forms });

describe('taking one change back where others came after it', () => {
  const cases: [name: string, from: unknown, to: unknown, now: unknown, result: unknown][] = [
    ['nothing since', { a: 2 }, { a: 1 }, { a: 2 }, is({ a: 1 })],
    ['another field since', { a: 2, b: 1 }, { a: 1, b: 1 }, { a: 2, b: 9 }, is({ a: 1, b: 9 })],
    ['the same field since', { a: 2 }, { a: 1 }, { a: 3 }, clash],
    ['the same field to the same', { a: 2 }, { a: 1 }, { a: 1 }, clash],
    ['an entry that came goes, a later one stays', [v('a'), v('b')], [v('a')], [v('a'), v('b'), v('c')], is([v('a'), v('c')])],
    ['one that came was changed since', [v('a'), v('b')], [v('a')], [v('a'), v('b', 0)], clash],
    ['one that went comes back behind its old neighbour', [v('a'), v('c')], [v('a'), v('b'), v('c')], [v('x'), v('a'), v('c')], is([v('x'), v('a'), v('b'), v('c')])],
    ['two entries, each its own change', [v('a', 1), v('b', 1)], [v('a', 0), v('b', 1)], [v('a', 1), v('b', 5)], is([v('a', 0), v('b', 5)])],
    ['a form of one variant', [v('a', 1, ['x', 'y'])], [v('a', 1, ['x'])], [v('a', 1, ['x', 'y', 'z'])], is([v('a', 1, ['x', 'z'])])],
    ['an order undone', ['a', 'b'], ['b', 'a'], ['a', 'b', 'c'], clash],
    ['entries of no name', [[1], [2]], [[1]], [[1], [2], [3]], clash],
    ['a field that was not there', { a: 1, b: 2 }, { a: 1 }, { a: 5, b: 2 }, is({ a: 5 })],
  ]; // prettier-ignore
  for (const [name, from, to, now, result] of cases)
    test(name, () => assert.deepEqual(merge(from, to, now), result));
});

/** As stored records are: objects without a prototype are none. */
const PLAIN = { noNullPrototype: true };
const ids = ['a', 'b', 'c', 'd', 'e'];
const variants = fc
  .uniqueArray(fc.constantFrom(...ids), { maxLength: 5 })
  .chain((list) =>
    fc.tuple(
      ...list.map((id) =>
        fc.record(
          { id: fc.constant(id), credit: fc.nat(3), forms: fc.uniqueArray(fc.constantFrom('x', 'y', 'z')) },
          PLAIN,
        ),
      ),
    ),
  );
const question = fc.record(
  { text: fc.constantFrom('', 'Why?', 'Where?'), points: fc.nat(3), variants },
  PLAIN,
);

describe('laws', () => {
  test('where nothing came after, it is what was before', () => {
    fc.assert(
      fc.property(question, question, (from, to) => assert.deepEqual(merge(from, to, from), is(to))),
      SETTINGS,
    );
  });
  test('no change taken back leaves what stands', () => {
    fc.assert(
      fc.property(question, question, (one, now) => assert.deepEqual(merge(one, one, now), is(now))),
      SETTINGS,
    );
  });
  test('a text and its key are apart: undoing one never touches the other', () => {
    fc.assert(
      fc.property(question, fc.string(), variants, (from, text, later) => {
        const result = merge(from, { ...from, text }, { ...from, variants: later });
        assert.deepEqual(result, is({ ...from, text, variants: later }));
      }),
      SETTINGS,
    );
  });
  test('undone and done again is what stood, with all that came in between', () => {
    fc.assert(
      fc.property(question, question, fc.nat(9), (from, to, points) => {
        const later = { id: 'later', credit: 1, forms: [] };
        const now = { ...from, text: `${from.text}!`, variants: [...from.variants, later], points };
        const one = { ...to, text: from.text, points: from.points };
        const back = merge(from, one, now);
        if (!back.ok) return;
        assert.equal(back.value.text, now.text);
        assert.ok(back.value.variants.some(({ id }) => id === 'later'));
        const again = merge(one, from, back.value);
        assert.ok(again.ok);
        assert.deepEqual(canonicalVariants(again.value), canonicalVariants(now));
      }),
      SETTINGS,
    );
  });
});

/** Where an entry comes back to may differ by a place; what there is does not. */
const canonicalVariants = (one: { variants: readonly { id: string; forms: readonly string[] }[] }) => ({
  ...one,
  variants: [...one.variants]
    .sort((a, b) => a.id.localeCompare(b.id))
    .map((variant) => ({ ...variant, forms: [...variant.forms].sort() })),
});
