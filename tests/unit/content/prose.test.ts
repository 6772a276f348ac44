import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { isEmptyProse, joinProse, plainProse, proseOf, treeOf } from '@/core/content/prose';
import { Prose } from '@/core/content/proseSchema';
import type { RichText } from '@/core/content/richText';
import { runs } from '../../runs';
import { prose } from '../support/arbitrary';

const bold: RichText = [{ type: 'paragraph', runs: [{ type: 'text', text: 'silt', marks: ['bold'] }] }];
const linked = (link: string): unknown => [
  { type: 'paragraph', runs: [{ type: 'text', text: 'here', marks: [], link }] },
];

describe('words that may be formatted', () => {
  test('plain ones are a string, a line for each paragraph', () => {
    assert.deepEqual(treeOf('one\n\ntwo').length, 3);
    assert.equal(proseOf(treeOf('one\n\ntwo')), 'one\n\ntwo');
    assert.deepEqual([treeOf(''), proseOf([])], [[], '']);
  });
  test('what a string cannot hold stays a tree', () => {
    assert.deepEqual(proseOf(bold), bold);
    const long: RichText = [
      { type: 'paragraph', runs: [{ type: 'text', text: 'x'.repeat(5001), marks: [] }] },
    ];
    assert.deepEqual(proseOf(long), long);
  });
  test('below each other each is said once, and they are plain as long as all are', () => {
    assert.equal(joinProse(['a', ' ', 'b', 'a']), 'a\nb');
    assert.deepEqual(joinProse(['a', bold, bold]), [...treeOf('a'), ...bold]);
    assert.equal(joinProse([]), '');
  });
  test('a link leads nowhere that a browser should not open', () => {
    assert.ok(Prose.safeParse(linked('https://rivers.example/')).success);
    for (const address of ['javascript:alert(1)', 'data:text/html,x', 'rivers', ''])
      assert.ok(!Prose.safeParse(linked(address)).success, address);
  });
  test('law: every text has one form, which is its own', () => {
    fc.assert(
      fc.property(prose, (one) => {
        assert.deepEqual(proseOf(treeOf(one)), one);
        assert.equal(isEmptyProse(one), plainProse(one).trim() === '');
        assert.ok(Prose.safeParse(one).success);
      }),
      { numRuns: runs(100) },
    );
  });
});
