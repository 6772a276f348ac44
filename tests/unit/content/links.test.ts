import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { isSafeAddress, linkedParts } from '@/core/content/links';
import { runs } from '../../runs';

describe('addresses that were typed among words', () => {
  const CASES: readonly (readonly [text: string, links: string[]])[] = [
    ['Read https://rivers.example/bends.', ['https://rivers.example/bends']],
    ['See (https://rivers.example/a_(map)) first', ['https://rivers.example/a_(map)']],
    ['(http://rivers.example)', ['http://rivers.example']],
    ['www.rivers.example, page 3', ['https://www.rivers.example']],
    ['two: https://a.example/x?y=1&z=2; https://b.example!', ['https://a.example/x?y=1&z=2', 'https://b.example']],
    ['“https://rivers.example/x”', ['https://rivers.example/x']],
    ['javascript:alert(1) data:text/html,x file:///etc/x', []],
    ['https:// is how it begins, https://e too', []],
    ['mail@www.rivers.example', []],
    ['no address at all', []],
    ['', []],
  ]; // prettier-ignore
  for (const [text, links] of CASES)
    test(text || 'nothing', () => {
      const parts = linkedParts(text);
      assert.deepEqual(parts.flatMap(({ address }) => address ?? []), links); // prettier-ignore
      assert.equal(parts.map((part) => part.text).join(''), text);
    });

  test('of a page of brackets those go that it does not open itself', () => {
    const [part] = linkedParts(`https://rivers.example/${'a)'.repeat(50_000)}${')'.repeat(50_000)}`);
    assert.ok(part?.address?.endsWith('a'));
  });

  test('law: no letter is lost, and every address is safe', () => {
    const bits = fc.constantFrom(
      'https://',
      'www.',
      'a.example',
      '/',
      '(',
      ')',
      ' ',
      '.',
      'javascript:',
      '"',
      '<',
      'ö',
      '\n',
      '@',
    );
    fc.assert(
      fc.property(fc.array(fc.oneof(bits, fc.string({ maxLength: 5 })), { maxLength: 12 }), (words) => {
        const text = words.join('');
        const parts = linkedParts(text);
        assert.equal(parts.map((part) => part.text).join(''), text);
        for (const { address } of parts)
          assert.ok(address === null || (isSafeAddress(address) && /^https?:/.test(address)));
      }),
      { numRuns: runs(2000) },
    );
  });
});
