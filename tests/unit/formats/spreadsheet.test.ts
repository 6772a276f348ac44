import assert from 'node:assert/strict';
import { describe, test } from 'node:test';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { readFile } from '@/files/readFile';
import { workbook, workbookSheet } from '../../workbook';
import { runs } from '../../runs';

describe('spreadsheets', () => {
  const rows = [
    ['Student', 'Number', 'Q1'],
    ['Ada Marsh', 801, 'a <b> & “c”'],
    ['Bela Fenn', 802, 5.3],
  ];

  test('the first sheet reads as the same rows in text would', async () => {
    const result = await readFile(workbook(rows));
    if (!result.ok) assert.fail(result.error);
    assert.deepEqual(result.table.header, ['Student', 'Number', 'Q1']);
    assert.deepEqual(
      result.table.rows.map((row) => [row.line, ...row.cells]),
      [
        [2, 'Ada Marsh', '801', 'a <b> & “c”'],
        [3, 'Bela Fenn', '802', '5.3'],
      ],
    );
  });
  test('damaged and swollen ones are refused with words', async () => {
    const whole = workbook(rows);
    const broken = await readFile(whole.slice(0, whole.length - 30));
    assert.ok(!broken.ok && /damaged/.test(broken.error), JSON.stringify(broken));
    const other = await readFile(zipSync({ 'notes.txt': strToU8('no spreadsheet') }));
    assert.ok(!other.ok && /cannot be read/.test(other.error), JSON.stringify(other));
    const claim = Buffer.from(workbook(rows));
    claim.writeUInt32LE(210_000_000, claim.lastIndexOf('PK\x01\x02', undefined, 'latin1') + 24);
    const swollen = await readFile(new Uint8Array(claim));
    assert.ok(!swollen.ok && /200 MB/.test(swollen.error), JSON.stringify(swollen));
  });
  const mutations = (length: number) =>
    fc.array(fc.tuple(fc.nat(length - 1), fc.nat(255)), { minLength: 1, maxLength: 8 });
  const mutated = (whole: Uint8Array, list: readonly [number, number][]) => {
    const bytes = whole.slice();
    for (const [at, value] of list) bytes[at] = value;
    return bytes;
  };
  const readsOrSays = async (bytes: Uint8Array): Promise<boolean> => {
    const result = await readFile(bytes);
    return result.ok || result.error.length > 10;
  };
  test('mutated spreadsheets: never a throw, rows or words', async () => {
    const whole = workbook(rows);
    await fc.assert(
      fc.asyncProperty(mutations(whole.length), (list) => readsOrSays(mutated(whole, list))),
      { numRuns: runs(5000) },
    );
  });
  test('whole archives around mutated sheets: never a throw, rows or words', async () => {
    const { length } = workbookSheet(rows);
    await fc.assert(
      fc.asyncProperty(mutations(length), (list) =>
        readsOrSays(workbook(rows, (sheet) => mutated(sheet, list))),
      ),
      { numRuns: runs(5000) },
    );
  });
});
