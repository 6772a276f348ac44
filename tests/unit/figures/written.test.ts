import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import { fraction } from '@/core/figures/fraction';
import { figuresIn, PLAIN_FIGURES } from '@/core/figures/written';
import { change, note } from '@/core/marks/trace';
import { traceWordsIn } from '@/core/scoring/words';

describe('figures as the reader writes them', () => {
  const cases: [language: string, decimal: string, percent: string, long: string][] = [
    ['en', '1.8', '33.33%', '1,234.5'],
    ['de', '1,8', '33,33 %', '1.234,5'],
    ['fr', '1,8', '33,33 %', '1 234,5'],
    ['tr', '1,8', '%33,33', '1.234,5'],
  ];
  const spaces = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');
  for (const [language, decimal, percent, long] of cases)
    test(language, () => {
      const figures = figuresIn(language);
      // Twice: what is remembered is what was written.
      for (let times = 0; times < 2; times++) {
        assert.equal(figures.decimal(fraction(9, 5)), decimal);
        assert.equal(spaces(figures.percent(fraction(1, 3))), percent);
        assert.equal(spaces(figures.decimal(fraction(2469, 2))), long);
      }
    });
  test('files and endpoints: a point, nothing between thousands', () => {
    assert.equal(PLAIN_FIGURES.decimal(fraction(2469, 2)), '1234.5');
    assert.equal(PLAIN_FIGURES.percent(fraction(1, 8)), '12.5%');
  });
  test('the lines of a trace have them too', () => {
    const words = traceWordsIn(figuresIn('de'));
    const line = change('points', 'pointsEarned', null, fraction(9, 5), {
      credit: fraction(9, 10),
      possible: fraction(5, 2),
    });
    assert.equal(words(line), 'Earns 9/10 of 2,5 points: 1,8');
    assert.equal(
      spaces(words(note('rule', 'isKey', { key: '5,3', credit: fraction(1, 2) }))),
      'Same as 5,3: earns 50 %',
    );
  });
});
