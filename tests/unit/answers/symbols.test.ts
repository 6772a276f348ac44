import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { comparedText } from '@/core/answers/text/comparedText';
import { DEFAULT_SETTINGS } from '@/core/answers/text/settings';
import { runs } from '../../runs';
import { phraseQuestion, variant } from '../support/support';
import { kindOf } from '@/core/kinds';

const compared = (text: string): string => comparedText(text, DEFAULT_SETTINGS, 'en');

describe('where punctuation is ignored, signs that mean something are compared', () => {
  const cases: [a: string, b: string, same: boolean][] = [
    ['-x', 'x', false], ['5!', '5', false], ['2(x+3)', '2x+3', false], ["f'(x)", 'f(x)', false], ['|x|', 'x', false],
    ["x'", 'x', false], ["f''(x)", "f'(x)", false], ["6'2\"", '62', false], ['n!', 'n', false], ['~x', 'x', false],
    ['Na+', 'Na', false], ['O2-', 'O2', false], ['Cl-', 'Cl', false], ['SO42-', 'SO₄²⁻', true], ['SO4^2-', 'SO42-', true],
    ['A-', 'A', false], ['y=-3', 'y = -3', true], ['y=-3', 'y=3', false], ['-.5', '.5', false],
    ['(3, 4)', '(3,4)', true], ['(3, 4)', '3, 4', false], ['{1,2}', '{1, 2}', true], ['[0,1)', '[0, 1)', true],
    ['[0,1)', '[0,1]', false], [']0;1[', '[0;1]', false], ['2(x+3)', '2 (x + 3)', true],
    ['x²', 'x^2', true], ['x²', 'x2', true], ['10³', '10^3', true], ['10³', '103', false],
    ['x/y', 'x y', false], ['m/s', 'm s', false], ['3:2', '3 2', false], ['5×3', '5*3', true], ['4 : 3', '4:3', true],
    ['x=4', 'x = 4', true], ['10%', '10 %', true], ['A->B', 'A → B', true], ['x + 3', 'x+3', true], ['20 °C', '20°C', true],
  ]; // prettier-ignore
  for (const [a, b, same] of cases)
    test(`${a} ${same ? 'is' : 'is not'} ${b}`, () => {
      assert.equal(compared(a) === compared(b), same, `${compared(a)} | ${compared(b)}`);
    });
});

describe('what only looks like one goes as before', () => {
  const cases: [a: string, b: string][] = [
    ['(a)', 'a'], ['(1914–18)', '1914-18'], ['(-5)', '-5'], ['a)', 'a'], ['river(s)', 'rivers'], ["1990's", '1990s'],
    ["I'm", 'Im'], ['Yes!', 'Yes'], ['un-', 'un'], ['-ing', 'ing'], ['T-shirt', 'T shirt'], ['carbon-14', 'carbon 14'],
    ['5-6', '5 6'], ['x-y', 'x y'], ['and/or', 'and or'], ['“yes”', 'yes'], ["the 'Nile'", 'the Nile'],
    ['sand, silt', 'sand,silt'], ['what?!', 'what'], ['...', ''], ['?', ''], ['-', ''], ['question 4: 3 rivers', 'question 4 3 rivers'],
  ]; // prettier-ignore
  for (const [a, b] of cases) test(`${a} is ${b || 'nothing'}`, () => assert.equal(compared(a), compared(b)));
});

test('law: what was compared is compared as itself', () => {
  const sign = fc.constantFrom(...'ab1 2()[]{}\'"!-/:*|~^+=<%°.,;→'.split(''), 'oxbow', 'Cl', ' ');
  fc.assert(
    fc.property(fc.array(sign, { maxLength: 12 }), (signs) => {
      const once = compared(signs.join(''));
      assert.ok(once === once.trim() && !once.includes('  '), JSON.stringify(once));
      assert.equal(compared(` ${signs.join('')}. `), compared(`${signs.join('')}.`));
    }),
    { numRuns: runs(2000) },
  );
});

test('without its signs an answer is near', () => {
  for (const [form, given] of [
    ['Cl-', 'Cl'],
    ['f(x)', 'f x'],
  ] as const) {
    const question = phraseQuestion([variant('v', [form])]);
    const context = { language: 'en', decimalSign: 'point' } as const;
    const mark = kindOf(question).mark(question, { kind: 'phrase', text: given }, context);
    assert.deepEqual([mark.credit.n, mark.nearMiss], [0, 'withoutSigns'], `${form}, ${given}`);
  }
});

test('a letter that begins a text takes the brackets behind it, a space between or not', () => {
  for (const [a, b] of [
    ['f (x)', 'f(x)'],
    ['f (x) = 2x', 'f(x) = 2x'],
    ["f' (x)", "f'(x)"],
  ] as const)
    assert.equal(compared(a), compared(b), a);
  assert.equal(compared('question (a)'), compared('question a'));
});
