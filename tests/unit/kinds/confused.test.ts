import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { withPreset, DEFAULT_SETTINGS, type Preset } from '@/core/answers/text/settings';
import { confusedNumbers } from '@/core/kinds/shared/number/confusedNumbers';
import { confusedWords } from '@/core/kinds/shared/textKey/confused';
import { ONE, ZERO } from '@/core/figures/fraction';
import type { NumberKey } from '@/core/answers/number/schema';
import type { Variant } from '@/core/kinds/shared/textKey/schema';
import { filledQuestion } from '../support/filled';
import { variant } from '../support/support';

const words = (variants: Variant[], preset: Preset = 'smallErrorsPass', language = 'en'): string[] =>
  confusedWords({ settings: withPreset(DEFAULT_SETTINGS, preset), variants }, language, 1);

describe('words that are easily taken for a right one', () => {
  test('other words within the errors that pass, those of the same length first', () => {
    assert.deepEqual(words([variant('v', ['nitrate'])]), ['citrate', 'nitrite', 'titrate', 'nitrated', 'nitrates']);
    assert.ok(words([variant('v', ['altitude'])]).includes('latitude'), 'two letters in turn');
  }); // prettier-ignore
  const NONE: [why: string, variants: Variant[], preset?: Preset, language?: string][] = [
    ['no errors pass', [variant('v', ['nitrate'])], 'spellingCounts'],
    ['no list', [variant('v', ['nitrato'])], 'smallErrorsPass', 'it'],
    ['a short word', [variant('v', ['lake'])]],
    ['several words', [variant('v', ['oxbow lake'])]],
    ['a wrong answer', [variant('v', ['nitrate'], '0')]],
    ['a pattern', [variant('v', ['nitrate'], '1', { match: 'pattern' })]],
  ];
  for (const [why, variants, preset, language] of NONE)
    test(`none: ${why}`, () => assert.deepEqual(words(variants, preset, language), []));
  test('not what the key holds already, nor the same word in another spelling', () => {
    const found = words([variant('v', ['nitrate']), variant('w', ['Nitrite'], '0')]);
    assert.ok(found.includes('citrate') && !found.includes('nitrite'));
    assert.ok(!words([variant('v', ['colour'])]).includes('color'));
  });
});

describe('numbers that are easily given for the right one', () => {
  const keyOf = (more: Partial<NumberKey>): NumberKey =>
    filledQuestion('number', {
      key: '150',
      bands: [{ kind: 'exact', credit: ONE }],
      expected: [],
      form: { kind: 'any' },
      unit: { kind: 'none' },
      bareFraction: true,
      ...more,
    }) as unknown as NumberKey;
  const units: NumberKey['unit'] = {
    kind: 'required',
    units: [
      { names: ['cm'], factor: '1' },
      { names: ['m'], factor: '100' },
      { names: ['ell'], factor: '70' },
    ],
    missing: ZERO,
    unknown: ZERO,
  };
  const expected: NumberKey['expected'] = [
    { id: 'e', value: '-150', credit: ZERO, feedback: { text: '', links: [] }, bands: null },
  ];
  const CASES: [why: string, key: Partial<NumberKey>, found: [string, string][]][] = [
    ['the other sign', {}, [['-150', 'sign']]],
    ['the other unit, where its value can be written', { unit: units }, [['-150', 'sign'], ['1.5', 'm']]],
    ['what is expected already is not', { unit: units, expected }, [['1.5', 'm']]],
    ['nothing is the other sign of 0', { key: '0' }, []],
    ['no number yet', { key: '' }, []],
    ['per cent', { key: '25%' }, []],
  ]; // prettier-ignore
  for (const [why, key, found] of CASES)
    test(why, () => assert.deepEqual(confusedNumbers(keyOf(key)).map(({ value, mixedUp }) => [value, mixedUp]), found)); // prettier-ignore
});
