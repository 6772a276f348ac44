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
    assert.ok(!swollen.ok && /100 MB/.test(swollen.error), JSON.stringify(swollen));
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

/** A spreadsheet around the given sheet, made by hand. */
const around = (sheet: string, more: Record<string, string> = {}): Uint8Array =>
  zipSync({
    'xl/workbook.xml': strToU8(
      '<workbook><sheets><sheet name="S" sheetId="1" r:id="r1"/></sheets></workbook>',
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      '<Relationships><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
    ),
    'xl/worksheets/sheet1.xml': strToU8(`<worksheet><sheetData>${sheet}</sheetData></worksheet>`),
    ...Object.fromEntries(Object.entries(more).map(([name, xml]) => [name, strToU8(xml)])),
  });
const HEADING =
  '<row r="1"><c r="A1" t="inlineStr"><is><t>Student</t></is></c><c r="B1" t="inlineStr"><is><t>Q1</t></is></c></row>';
const ROW = '<row r="2"><c r="A2" t="inlineStr"><is><t>Ada Marsh</t></is></c><c r="B2"><v>5</v></c></row>';

describe('spreadsheets whose cells lie far apart', () => {
  const refused: [string, string, RegExp][] = [
    ['in the last corner', '<row r="1048576"><c r="XFD1048576"><v>1</v></c></row>', /^Cell XFD1048576 has something in it: at most 100000 rows and 1000 columns/],
    ['far down', '<row r="900000"><c r="A900000"><v>1</v></c></row>', /^Cell A900000/],
    ['far across', '<row r="9"><c r="XFD9"><v>1</v></c></row>', /^Cell XFD9/],
    ['under a prefix', '<x:row r="9"><x:c x:r="XFD9"><x:v>1</x:v></x:c></x:row>', /^Cell XFD9/],
    ['spelt in signs', '<row r="9"><c r="&#88;FD9"><v>1</v></c></row>', /^Cell XFD9/],
    ['within both, but not together', '<row r="90000"><c r="ZZ90000"><v>1</v></c></row>', /more than 4000000 cells/],
    ['in a row that no spreadsheet has', '<row r="99999999999"><c r="A99999999999"/></row>', /no valid number/],
    ['without an address', '<row r="9"><c><v>1</v></c></row>', /not the address of a cell|cannot be read/],
  ]; // prettier-ignore
  for (const [name, far, words] of refused)
    test(`something ${name} is refused with its place, within little time and room`, async () => {
      const file = around(HEADING + ROW + far);
      assert.ok(file.length < 1500);
      const started = performance.now();
      const before = process.memoryUsage().rss;
      const read = await readFile(file);
      assert.ok(!read.ok && words.test(read.error), JSON.stringify(read));
      assert.ok(performance.now() - started < 2000);
      assert.ok(process.memoryUsage().rss - before < 200_000_000);
    });

  test('cells that are only coloured may lie anywhere, and other sheets too', async () => {
    const empty = '<row r="1048576"><c r="A1048576" s="1"/><c r="XFD1048576" s="1"></c></row>';
    const other =
      '<worksheet><sheetData><row r="1048576"><c r="XFD1048576"><v>1</v></c></row></sheetData></worksheet>';
    const read = await readFile(around(HEADING + ROW + empty, { 'xl/worksheets/sheet2.xml': other }));
    assert.ok(read.ok, JSON.stringify(read));
    assert.deepEqual(
      read.table.rows.map(({ cells }) => [...cells]),
      [['Ada Marsh', '5']],
    );
  });

  test('one long text that a thousand cells share is counted a thousand times', async () => {
    const shared = `<sst><si><t>${'silt '.repeat(6000)}</t></si></sst>`;
    const rows = Array.from(
      { length: 1200 },
      (_, at) => `<row r="${at + 2}"><c r="A${at + 2}" t="s"><v>0</v></c></row>`,
    ).join('');
    const read = await readFile(around(HEADING + rows, { 'xl/sharedStrings.xml': shared }));
    assert.ok(!read.ok && /20 million characters/.test(read.error), JSON.stringify(read));
  });

  test('a text of nothing but line ends is refused by their number', async () => {
    const read = await readFile(strToU8('Student,Q1' + '\n'.repeat(2_000_000)));
    assert.ok(!read.ok && /more than 100000 rows/.test(read.error), JSON.stringify(read));
  });
});
