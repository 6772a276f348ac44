import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { isOtherSpelling } from '@/core/kinds/shared/textKey/otherSpelling';
import { variant } from '../support/support';

describe('a right answer that is only another spelling of an earlier one', () => {
  const CASES: readonly (readonly [form: string, of: string, is: boolean])[] = [
    ['levée', 'levee', true],
    ['ox-bow lake', 'oxbow lake', true],
    ['flood plain', 'floodplain', true],
    ['colour', 'color', true],
    ['salt', 'silt', false],
    ['erosion', 'deposition', false],
    ['1067', '1066', false],
    ['H2O', 'H3O', false],
  ];
  for (const [form, of, is] of CASES)
    test(`${form} beside ${of}`, () =>
      assert.equal(isOtherSpelling(variant('b', [form]), variant('a', [of]), 'en'), is));

  test('not where it says, earns or reads something of its own', () => {
    const levee = variant('a', ['levee']);
    const own = [
      variant('b', ['levée'], '1/2'),
      variant('b', ['levée'], '1', { feedback: { text: 'With its accent.', links: [] } }),
      variant('b', ['levée'], '1', { match: 'phrase' }),
      variant('b', ['levée'], '1', { decides: true }),
      variant('b', ['levée'], '1', { settings: { ignoreAccents: true } }),
      variant('b', ['levée', 'bank']),
    ];
    for (const one of own) assert.equal(isOtherSpelling(one, levee, 'en'), false, JSON.stringify(one));
  });
});
