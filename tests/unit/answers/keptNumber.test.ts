import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { compareExact } from '@/core/figures/exact';
import { keptNumber, typedNumber } from '@/core/answers/number/kept';
import { readNumber, type DecimalSign } from '@/core/answers/number/read';
import { runs } from '../../runs';

describe('numbers as a teacher types them, kept with a decimal point', () => {
  const cases: [typed: string, sign: DecimalSign, kept: string | null, unit: string][] = [
    ['5.3', 'point', '5.3', ''],
    ['5,3', 'comma', '5.3', ''],
    ['1,500', 'comma', '1.500', ''],
    ['1.500', 'comma', '1500', ''],
    ['1,500', 'point', '1,500', ''],
    ['1.500,5', 'comma', '1500.5', ''],
    ['3/4', 'comma', '3/4', ''],
    ['25%', 'comma', '25%', ''],
    ['2,5 %', 'comma', '2.5 %', ''],
    ['1,2e3', 'comma', '1.2e3', ''],
    ['-0,5', 'comma', '-0.5', ''],
    ['12 km', 'point', '12', 'km'],
    ['2,5 km/h', 'comma', '2.5', 'km/h'],
    ['€ 3,50', 'comma', '3.50', '€'],
    ['five', 'point', null, ''],
    ['1.5 million', 'point', '1500000', ''],
    ['1,5 million km', 'comma', '1500000', 'km'],
    ['£5 million', 'point', '5000000', '£'],
    ['2x + 1', 'point', null, ''],
    ['', 'point', null, ''],
  ];
  for (const [typed, sign, kept, unit] of cases)
    test(`“${typed}” with a decimal ${sign}`, () =>
      assert.deepEqual(
        keptNumber(typed, { decimalSign: sign, language: 'en' }),
        kept === null ? null : { text: kept, unit },
      ));

  test('shown again it is what was typed', () => {
    assert.equal(typedNumber('5.3', 'comma'), '5,3');
    assert.equal(typedNumber('1,500', 'comma'), '1500');
    assert.equal(typedNumber('3/4', 'comma'), '3/4');
    assert.equal(typedNumber('5.3', 'point'), '5.3');
  });

  test('law: kept and shown, the value is the same', () => {
    const typed = fc
      .tuple(
        fc.integer({ min: -99_999, max: 99_999 }),
        fc.nat(4),
        fc.constantFrom<DecimalSign>('point', 'comma'),
      )
      .map(([whole, places, sign]) => {
        const digits = (Math.abs(whole) / 10 ** places).toFixed(places);
        return [
          `${whole < 0 ? '-' : ''}${sign === 'comma' ? digits.replace('.', ',') : digits}`,
          sign,
        ] as const;
      });
    fc.assert(
      fc.property(typed, ([text, sign]) => {
        const value = readNumber(text, sign);
        const kept = keptNumber(text, { decimalSign: sign, language: 'en' });
        assert.ok(value && kept, text);
        const [again, shown] = [
          readNumber(kept.text, 'point'),
          readNumber(typedNumber(kept.text, sign), sign),
        ];
        assert.ok(again && shown);
        assert.equal(compareExact(value.value, again.value), 0);
        assert.equal(compareExact(value.value, shown.value), 0);
      }),
      { numRuns: runs(2000), seed: 5, endOnFailure: true },
    );
  });
});
