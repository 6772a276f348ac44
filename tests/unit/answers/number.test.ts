import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { bestBand, hasForm, inBand } from '@/core/answers/number/compare';
import { judgeNumber } from '@/core/kinds/shared/number/numberVerdict';
import { readNumber, type DecimalSign } from '@/core/answers/number/read';
import type { FormRule, NumberKey } from '@/core/answers/number/schema';
import { numberText } from '@/core/answers/number/text';
import { compareExact, exact, magnitude, toFigures } from '@/core/figures/exact';
import { ONE, ZERO } from '@/core/figures/fraction';
import { share, written } from '../support/support';
import { runs } from '../../runs';

const said = (text: string, sign: DecimalSign = 'point'): string => {
  const read = readNumber(text, sign);
  return read ? `${read.value.n}/${read.value.d}${read.unit ? ` ${read.unit}` : ''}` : 'no number';
};

const POINT = { decimalSign: 'point', language: 'en' } as const;

describe('numbers as typed', () => {
  const cases: [value: string, ...texts: string[]][] = [
    ['53/10', '5.3', '5.30', '5 3/10', '53/10', ' 5.3 ', '"5.3"', '“5.3”', 'x = 5.3', 'Q=5.3', '=5.3', '5.3!', '5,3', '５.３', '5.30.', '+5.3', '0.53e1', '530 %'],
    ['-5/1', '-5', '−5', '- 5', '–5', '-5.', '-10/2', '-5.0'],
    ['-5/1 €', '−€5', '€−5', '€ -5'],
    ['1000000/1', '1000000', '1,000,000', '1 000 000', '1\u00A0000\u202F000'.replace('\u202F', '\u00A0'), "1'000'000", '1’000’000', '10,00,000', '1.000.000', '1e6', '10^6', '10⁶', '1 × 10^6', '1·10⁶', '1*10^(6)', '1x10^6'],
    ['7/4', '1 3/4', '1¾', '1 ¾', '7/4', '1.75', '175%', '3.5/2'],
    ['3/4', '3/4', '¾', '-6/-8', '6 / 8', '0.75', '.75', '75 %', '750 ‰', '1.5/2'],
    ['7/3', '1 4/3', '7/3'],
    ['1/200', '1/2 %', '0.5%', '5 ‰', '5e-3'],
    ['1/1000', '10^-3', '10^(-3)', '10⁻³', '1e-3', '10^−3', '0.001'],
    ['2001/2', '1,000.5', '1.000,5', '1 000.5', '1 000,5', "1'000.5"],
    ['1/2', '0,500', '0.5', '½', ',5'],
    ['1234567/1000', '1234,567', '1 234.567'],
    ['7/2', '٣٫٥', '३.५', '3.5'],
    ['1000/1', '١٬٠٠٠', '1,000'],
    ['5/1 m/s', '5 m/s', '5m/s'], ['5/1 €', '€5', '5 €', '€ 5'], ['53/10 m^3/s', '5.3 m^3/s'], ['20/1 °C', '20 °C'],
    ['no number', '', '--5', '+-5', '-€-5', '5 or 6', '5–6', '5 ± 0.1', '(5)', '5-', '1.2 × 10 3', '1-3/4', '3:4', '1/0', '3/0.0', 'about fifty', 'fifty', '1,0000,00', '1 0000 00', '1_000_000', '1,00,00', '1,000,00', '0,500,000', '1.5.2', '1,5,5', '1 2', '1e500', '1.2e3e4', '1/2/3', 'e5', '×', '5 5 5'],
  ]; // prettier-ignore
  for (const [value, ...texts] of cases)
    test(`${value}: ${texts.length} ways`, () => {
      for (const text of texts) assert.equal(said(text), value, JSON.stringify(text));
    });
  test('where a comma is the decimal sign', () => {
    const texts: [string, string][] = [
      ['1,500', '3/2'], ['1.500', '1500/1'], ['0.500', '1/2'], ['12.5', '25/2'], ['1.000.000,5', '2000001/2'],
      ['1,000.5', '2001/2'], ['1,000,000', '1000000/1'], ['5,3.', '53/10'],
    ]; // prettier-ignore
    for (const [text, value] of texts) assert.equal(said(text, 'comma'), value, text);
  });
  test('law: a number in any written form is the same number', () => {
    const forms: ((n: bigint, places: number) => string)[] = [
      (n, places) => numberText(exact(n, 10n ** BigInt(places))),
      (n, places) => `${n}/${10n ** BigInt(places)}`,
      (n, places) => `${n}e-${places}`,
      (n, places) => `${n} × 10^-${places}`,
      (n, places) => numberText(exact(n, 10n ** BigInt(places))).replace('-', '−'),
      (n, places) => `${numberText(exact(n * 100n, 10n ** BigInt(places)))} %`,
    ];
    const values = fc.tuple(fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }), fc.nat(9));
    fc.assert(
      fc.property(values, fc.constantFrom(...forms), ([n, places], form) => {
        const read = readNumber(form(n, places), 'point');
        return read !== null && compareExact(read.value, exact(n, 10n ** BigInt(places))) === 0;
      }),
    );
  });
  test('anything at all: a number or none, quickly', () => {
    const parts = fc.constantFrom(
      '1',
      '0',
      '000',
      '.',
      ',',
      ' ',
      '-',
      '/',
      'e',
      '×10^',
      '%',
      'm',
      '²',
      '(',
      ')',
      '€',
      '¾',
      '^',
      '\u202E',
      'é',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'binary' }),
          fc.array(parts, { maxLength: 60 }).map((list) => list.join('')),
        ),
        (text) => {
          readNumber(text, 'point');
          readNumber(text, 'comma');
          return true;
        },
      ),
      { numRuns: runs(20_000) },
    );
    const start = performance.now();
    for (const unit of ['a', '1,', '1 ', '.', 'm²', '10^', 'a/'])
      readNumber(unit.repeat(1000 / unit.length), 'point');
    assert.ok(performance.now() - start < 2000, 'no text keeps it for long');
  });
});

describe('nearness, form and unit', () => {
  const of = (text: string) => readNumber(text, 'point') ?? assert.fail(text);
  test('bounds are inside, exactly', () => {
    const within = (value: string, key: string, band: Parameters<typeof inBand>[2]) =>
      inBand(of(value).value, of(key).value, band);
    const amount = { kind: 'amount', amount: '0.1', credit: ONE } as const;
    assert.deepEqual(
      ['0.6', '0.8', '0.80001', '0.59999'].map((value) => within(value, '0.7', amount)),
      [true, true, false, false],
    );
    const percent = { kind: 'percent', percent: '5', credit: ONE } as const;
    assert.deepEqual(
      ['-19', '-21', '-21.01'].map((value) => within(value, '-20', percent)),
      [true, true, false],
    );
    assert.ok(!within('0.0001', '0', percent) && within('0', '0', percent));
    const figures = { kind: 'figures', figures: 2, credit: ONE } as const;
    assert.deepEqual(
      ['5.26', '5.34', '5.36', '-5.3', '0'].map((value) => within(value, '5.34', figures)),
      [true, true, false, false, false],
    );
    assert.ok(within('0.1', '0.0996', figures) && within('0.095', '0.0950', figures));
    const range = { kind: 'range', from: '2', fromIn: false, to: '4', toIn: true, credit: ONE } as const;
    assert.deepEqual(
      ['2', '2.001', '4', '4.001'].map((value) => within(value, '3', range)),
      [false, true, true, false],
    );
  });
  test('the best band wins', () => {
    const bands = [
      { kind: 'percent', percent: '1', credit: ONE },
      { kind: 'percent', percent: '5', credit: share('1/2') },
    ] as const;
    const credit = (value: string) =>
      written(bestBand(of(value).value, of('200').value, bands)?.credit ?? ZERO);
    assert.deepEqual(['200', '202', '202.1', '210', '210.01'].map(credit), ['1', '1', '1/2', '1/2', '0']);
  });
  const forms: [rule: FormRule, passes: string[], fails: string[]][] = [
    [{ kind: 'lowestTerms', otherwise: ZERO }, ['3/4', '1 3/4', '¾', '7/4', '2', '-3/4'], ['6/8', '2/1', '0.75', '1 2/4', '1 4/3', '75 %', '1e3']],
    [{ kind: 'decimals', count: 2, otherwise: ZERO }, ['5.30', '0.00', '1.20e3', '25.00 %'], ['5.3', '5', '5.300', '3/4']],
    [{ kind: 'figures', count: 2, otherwise: ZERO }, ['5300', '0.0053', '53', '5.3e7', '0'], ['5300.', '5.30', '5', '53.0', '1/2']],
    [{ kind: 'figures', count: 4, otherwise: ZERO }, ['5300', '5300.', '5.300'], ['5300.0', '530']],
    [{ kind: 'scientific', otherwise: ZERO }, ['1.2e3', '1.200 × 10³', '-9.99e-4', '0', '0.0'], ['0.12e4', '12 × 10^2', '1200', '10³']],
  ]; // prettier-ignore
  for (const [rule, passes, fails] of forms)
    test(`form: ${rule.kind}`, () => {
      for (const text of passes) assert.ok(hasForm(of(text), rule), text);
      for (const text of fails) assert.ok(!hasForm(of(text), rule), text);
    });
  const percent: NumberKey = {
    key: '25%', bands: [{ kind: 'exact', credit: ONE }], expected: [], form: { kind: 'any' },
    unit: { kind: 'none' }, bareFraction: true,
  }; // prettier-ignore
  test('a key in per cent: %, ‰ and the bare fraction are right, unless that is switched off', () => {
    const credit = (text: string, key = percent) => written(judgeNumber(key, text, POINT).credit);
    assert.deepEqual(
      ['25 %', '25', '250 ‰', '0.25', '1/4', '2.5', '25 m'].map((text) => credit(text)),
      ['1', '1', '1', '1', '1', '0', '0'],
    );
    const strict = { ...percent, bareFraction: false };
    assert.deepEqual([credit('0.25', strict), credit('25 %', strict)], ['0', '1']);
    assert.equal(judgeNumber(strict, '0.25', POINT).nearMiss, 'otherUnit');
  });
  test('near misses say why', () => {
    const key: NumberKey = {
      ...percent, key: '5.3', form: { kind: 'decimals', count: 2, otherwise: ZERO },
      unit: { kind: 'required', units: [{ names: ['m³/s'], factor: '1' }, { names: ['l/s'], factor: '0.001' }], missing: ZERO, unknown: ZERO },
    }; // prettier-ignore
    const near = (text: string) => judgeNumber(key, text, POINT).nearMiss;
    assert.deepEqual(
      [
        '5.30 m³/s',
        '5.3 m³/s',
        '5300.00',
        '53.00 m³/s',
        'much',
        '7.00 apples',
        '5.30 apples',
        '7.00 m³/s',
      ].map(near),
      [null, 'otherForm', 'otherUnit', 'powerOfTen', 'notANumber', 'unknownUnit', 'unknownUnit', null],
    );
  });
  test('figures of any size', () => {
    assert.deepEqual(
      [exact(345n), exact(1n), exact(12n, 10_000n), exact(-99n, 10n)].map(magnitude),
      [2, 0, -3, 0],
    );
    assert.equal(numberText(toFigures(exact(99_500n, 1000n), 2)), '100');
    assert.equal(numberText(toFigures(exact(-125n, 100n), 2)), '-1.3');
    assert.equal(numberText(exact(1n, 3n)), '1/3');
  });
});
