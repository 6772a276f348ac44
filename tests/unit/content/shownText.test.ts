import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { MarkColumn } from '@/core/checking/markColumn';
import { isFormula } from '@/core/formats/formula';
import { lineText, shownText } from '@/core/content/shownText';
import { phraseQuestion, variant } from '../support/support';

test('control characters and turned directions go, everything that is read stays', () => {
  const cases: [text: string, shown: string, line: string][] = [
    ['oxbow lake', 'oxbow lake', 'oxbow lake'],
    ['a\tb\nc', 'a\tb\nc', 'a b c'],
    ['a\r\nb\rc', 'a\nb\nc', 'a b c'],
    ['a\u000Bb\u0085c', 'a\nb\nc', 'a b c'],
    ['lock \u202Egate\u202C', 'lock gate', 'lock gate'],
    ['\u2066נהר\u2069 \u0000x\u009F', 'נהר x', 'נהר x'],
    ['  e\u0301 👩‍🌾  ', '  e\u0301 👩‍🌾  ', 'e\u0301 👩‍🌾'],
    ['\u200Fשלום\u200E', '\u200Fשלום\u200E', '\u200Fשלום\u200E'],
    ['<b>&amp;', '<b>&amp;', '<b>&amp;'],
  ];
  for (const [text, shown, line] of cases) {
    assert.equal(shownText(text), shown, JSON.stringify(text));
    assert.equal(lineText(text), line, JSON.stringify(text));
  }
});

test('showing twice is showing once, and a line has no breaks', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      const line = lineText(text);
      return (
        shownText(shownText(text)) === shownText(text) && lineText(line) === line && !/[\n\t]/.test(line)
      );
    }),
  );
});

test('text that a spreadsheet would run is found behind blanks and invisible characters', () => {
  const runs = [
    '=1',
    '+1',
    '-1',
    '@x',
    '\t=1',
    '\rx',
    '\n',
    '  =1',
    '\u200B=1',
    '\uFEFF@x',
    '\u0007-1',
    '＝1',
    '＠x',
    '\u00A0+1',
  ];
  for (const text of runs) assert.ok(isFormula(text), JSON.stringify(text));
  for (const text of ['a=1', '1-2', 'flood plain', 'x@y', '(=1)', '“=1”', ''])
    assert.ok(!isFormula(text), JSON.stringify(text));
});

test('answers that differ only in white space or in what is not shown are marked each for itself', () => {
  const question = phraseQuestion([variant('v', ['oxbow lake'])]);
  const column = new MarkColumn(question, { language: 'en', decimalSign: 'point' as const });
  const credit = (text: string) => column.mark({ kind: 'phrase', text }).credit.n;
  assert.deepEqual(
    ['oxbowlake', 'oxbow\u000Blake', 'oxbow\u0000lake', 'oxbow\u202E lake'].map(credit),
    [0, 1, 0, 1],
  );
});
