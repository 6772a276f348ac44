import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import papa from 'papaparse';
import { csvText } from '@/core/formats/csv';
import { guarded, unguarded } from '@/core/formats/formula';
import { runs } from '../../runs';

/** What a spreadsheet runs: white space and what is not shown before a sign change nothing. */
const RUNS = /^[\p{White_Space}\p{Cc}\p{Cf}]*[=+\-@＝]/u;

const signs = fc.constantFrom(
  ...['=', '+', '-', '@', '＝', ',', ';', '|', '\t', '\r', '\n', '"', "'", ' ', '\u200B', 'x', '4', '!A0'],
);
const text = fc.oneof(
  fc.string(),
  fc.array(signs, { maxLength: 12 }).map((all) => all.join('')),
);

describe('text in files that spreadsheets open', () => {
  const cases: [string, string][] = [
    ['=1+1', "'=1+1"],
    ["x;=cmd|'/C calc'!A0", "x;'=cmd|'/C calc'!A0"],
    ['x\t@sum', "x\t'@sum"],
    ['silt | +mud', "silt | '+mud"],
    ['line\n-2', "line\n'-2"],
    ['x;"=1"', 'x;"\'=1"'],
    ['(3, -4)', "(3, '-4)"],
    ['flood plain', 'flood plain'],
    ["'tis", "'tis"],
    ["'=1", "''=1"],
  ];
  for (const [from, to] of cases)
    it(`${JSON.stringify(from)} stands as ${JSON.stringify(to)}`, () => {
      assert.equal(guarded(from), to);
      assert.equal(unguarded(to), from);
    });

  it('what is guarded comes back letter by letter', () => {
    fc.assert(
      fc.property(text, (one) => assert.equal(unguarded(guarded(one)), one)),
      { numRuns: runs(20_000) },
    );
  });

  for (const separator of [',', ';', '\t', '|'])
    it(`split at ${JSON.stringify(separator)}, no cell is a formula; with commas, every cell is what it was`, () => {
      fc.assert(
        fc.property(fc.array(fc.tuple(text, text, text), { minLength: 1, maxLength: 3 }), (rows) => {
          const file = csvText(rows).replace(/^\uFEFF/, '');
          for (const row of papa.parse(file, { delimiter: separator }).data)
            for (const cell of row) assert.ok(!RUNS.test(cell), JSON.stringify(cell));
          if (separator !== ',') return;
          const read = papa.parse(file, { delimiter: ',' }).data.slice(0, rows.length);
          assert.deepEqual(
            read.map((row) => row.map(unguarded)),
            rows,
          );
        }),
        { numRuns: runs(5000) },
      );
    });
});
