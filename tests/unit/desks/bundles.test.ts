import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { groupsOf, inPlace, placeOf, placesOf } from '@/desks/check/oneQuestion/bundles';
import type { BundleGroup, BundleMark, ShownBundle } from '@/workers/classDesk';

const mark = (verdict: BundleMark['verdict'], more: Partial<BundleMark> = {}): BundleMark => ({
  verdict,
  credit: { n: verdict === 'right' ? 1 : 0, d: 1 },
  nearMiss: null,
  errors: 0,
  expected: false,
  ...more,
});
const bundle = (text: string, who: string, made = mark('wrong')): ShownBundle => ({
  mark: made,
  nearTo: null,
  classes: [{ text, times: who.length, mark: made }],
  text,
  others: [],
  answers: [],
  parts: [],
  who: [...who].map((attemptId) => ({ attemptId, name: attemptId, apart: '' })),
});
const group = (...bundles: ShownBundle[]): BundleGroup => ({ part: '', id: null, typed: true, bundles });
const texts = ({ bundles }: BundleGroup): string[] => bundles.map(({ text }) => text);

test('what wants a look comes first: near misses, what waits, wrong, partly right, right, nothing', () => {
  const all = [
    bundle('levee', 'abc', mark('right')),
    bundle('', 'd', mark('blank')),
    bundle('bank', 'ef'),
    bundle('leve', 'g', mark('wrong', { nearMiss: 'typo' as BundleMark['nearMiss'] })),
    bundle('dyke', 'h', mark('waits')),
  ];
  assert.deepEqual(
    groupsOf(all).map(({ title, papers }) => [title, papers]),
    [
      ['Near misses', 1],
      ['To mark', 1],
      ['Wrong', 2],
      ['Right', 3],
      ['No answer', 1],
    ],
  );
});

describe('while a question is looked at', () => {
  const before = placesOf([group(bundle('delta', 'abc'), bundle('bank', 'de'), bundle('bar', 'f'))]);

  test('bundles keep their places, however many join them', () => {
    const after = group(bundle('bank', 'deghij'), bundle('delta', 'abc'), bundle('bar', 'f'));
    assert.deepEqual(texts(inPlace(after, before)), ['delta', 'bank', 'bar']);
  });

  test('what is new stands behind them, in the order in which it came', () => {
    const after = group(
      bundle('spit', 'xyz'),
      bundle('reef', 'w'),
      bundle('bar', 'f'),
      bundle('delta', 'abc'),
    );
    assert.deepEqual(texts(inPlace(after, before)), ['delta', 'bar', 'spit', 'reef']);
    assert.equal(placeOf(after, bundle('spit', 'xyz'), before), null);
  });

  test('two that were put together stand where the first of them stood', () => {
    const after = group(bundle('bar', 'fabc'), bundle('bank', 'de'));
    assert.deepEqual(texts(inPlace(after, before)), ['bar', 'bank']);
  });

  test('what was taken out keeps the place of what it was taken out of, behind nothing that stood below', () => {
    const after = group(bundle('bank', 'de'), bundle('delta', 'ab'), bundle('delt', 'c'), bundle('bar', 'f'));
    assert.deepEqual(texts(inPlace(after, before)), ['delta', 'delt', 'bank', 'bar']);
  });

  test('each gap has its own places', () => {
    const other = { ...group(bundle('delta', 'abc')), id: 'gap-2' };
    assert.equal(placeOf(other, bundle('delta', 'abc'), before), null);
  });
});
