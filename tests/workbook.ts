import { strToU8, zipSync } from 'fflate';

const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

/** The sheet itself, with inline texts. */
export function workbookSheet(rows: readonly (string | number)[][]): Uint8Array {
  const cell = (value: string | number, at: string) =>
    typeof value === 'number'
      ? `<c r="${at}"><v>${value}</v></c>`
      : `<c r="${at}" t="inlineStr"><is><t xml:space="preserve">${value.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</t></is></c>`;
  const row = (values: readonly (string | number)[], number: number) =>
    values.map((value, column) => cell(value, `${'ABCDEF'[column]}${number}`)).join('');
  const sheet = rows.map((values, at) => `<row r="${at + 1}">${row(values, at + 1)}</row>`).join('');
  return strToU8(
    `<?xml version="1.0"?><worksheet xmlns="${MAIN}"><sheetData>${sheet}</sheetData></worksheet>`,
  );
}

/** A whole spreadsheet file of one sheet, as small as the standard allows; the sheet can be altered on its way in. */
export function workbook(
  rows: readonly (string | number)[][],
  alter: (sheet: Uint8Array) => Uint8Array = (sheet) => sheet,
): Uint8Array {
  const rel = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const pack = 'http://schemas.openxmlformats.org/package/2006';
  const types = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
  return zipSync({
    '[Content_Types].xml': strToU8(`<?xml version="1.0"?><Types xmlns="${pack}/content-types"><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="${types}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${types}.worksheet+xml"/></Types>`),
    '_rels/.rels': strToU8(`<?xml version="1.0"?><Relationships xmlns="${pack}/relationships"><Relationship Id="r1" Type="${rel}/officeDocument" Target="xl/workbook.xml"/></Relationships>`),
    'xl/workbook.xml': strToU8(`<?xml version="1.0"?><workbook xmlns="${MAIN}" xmlns:r="${rel}"><sheets><sheet name="Answers" sheetId="1" r:id="r1"/></sheets></workbook>`),
    'xl/_rels/workbook.xml.rels': strToU8(`<?xml version="1.0"?><Relationships xmlns="${pack}/relationships"><Relationship Id="r1" Type="${rel}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`),
    'xl/worksheets/sheet1.xml': alter(workbookSheet(rows)),
  }); // prettier-ignore
}
