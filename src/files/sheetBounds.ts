import { Parser } from 'saxen';

/**
 * What the parts of a spreadsheet may hold, looked at before they are read: the reader makes a grid as wide and as high as
 * its furthest cell, so that one cell in the last corner would be a thousand million.
 */
export const MOST_SHEET_ROWS = 100_001;
export const MOST_SHEET_COLUMNS = 1000;
/** Rows times columns of the grid that comes of it. */
const MOST_CELLS = 4_000_000;
/** Tags in one part, of which a filled cell has four. */
const MOST_TAGS = 16_000_000;
/** The last row that a spreadsheet has (ECMA-376). */
const LAST_ROW = 1_048_576;

const LESS_THAN = 0x3c;

/** A part with so many tags takes too long and too much room, whatever they are. */
function tags(part: Uint8Array): number {
  let found = 0;
  for (const byte of part) if (byte === LESS_THAN) found++;
  return found;
}

const plain = (name: string): string => name.slice(name.indexOf(':') + 1);

interface Place {
  readonly column: number;
  readonly row: number;
}

/** `C4` as numbers from 1; null where it is no address of a cell. */
function placeOf(address: string): Place | null {
  const [, letters, digits] = /^([A-Z]{1,7})([0-9]{1,12})$/.exec(address) ?? [];
  if (letters === undefined || digits === undefined) return null;
  let column = 0;
  for (const letter of letters) column = column * 26 + (letter.charCodeAt(0) - 64);
  return { column, row: Number(digits) };
}

class OutOfBounds extends Error {}

const outside = (address: string): OutOfBounds =>
  new OutOfBounds(
    `Cell ${address} has something in it: at most ${MOST_SHEET_ROWS - 1} rows and ${MOST_SHEET_COLUMNS} columns are read.`,
  );

/** The attribute of a tag under whichever prefix, as the reader takes it. */
function attribute(
  attributes: Record<string, string>,
  name: string,
  decode: (text: string) => string,
): string | null {
  for (const [key, value] of Object.entries(attributes)) if (plain(key) === name) return decode(value);
  return null;
}

/** Looks at each cell of a sheet; ends with {@link OutOfBounds} where one is too far out. */
function lookThrough(xml: string): void {
  const furthest = { row: 0, column: 0 };
  let cell: string | null = null;
  const fill = () => {
    if (cell === null) return;
    const place = placeOf(cell);
    if (!place) throw new OutOfBounds(`“${cell.slice(0, 20)}” is not the address of a cell.`);
    if (place.row > MOST_SHEET_ROWS || place.column > MOST_SHEET_COLUMNS) throw outside(cell);
    furthest.row = Math.max(furthest.row, place.row);
    furthest.column = Math.max(furthest.column, place.column);
    if (furthest.row * furthest.column > MOST_CELLS)
      throw new OutOfBounds(
        `The sheet reaches ${furthest.row} rows down and ${furthest.column} columns across, to ${cell}: that is more than ${MOST_CELLS} cells.`,
      );
  };
  new Parser()
    .on('openTag', (name, attributes, decode) => {
      const tag = plain(name);
      if (tag === 'row') {
        const row = Number(attribute(attributes(), 'r', decode) ?? 1);
        if (!(row >= 1 && row <= LAST_ROW)) throw new OutOfBounds('A row of the sheet has no valid number.');
      } else if (tag === 'c') cell = attribute(attributes(), 'r', decode) ?? '';
      else if (cell !== null) fill();
    })
    .on('closeTag', (name) => {
      if (plain(name) === 'c') cell = null;
    })
    .on('error', (error) => {
      throw error;
    })
    .parse(xml);
}

/** Why a part of a spreadsheet is not to be read; null where it can be. */
export function boundsTrouble(part: Uint8Array): string | null {
  if (tags(part) > MOST_TAGS) return 'The spreadsheet holds too much to be read.';
  const xml = new TextDecoder().decode(part);
  if (!xml.includes('sheetData')) return null;
  try {
    lookThrough(xml);
    return null;
  } catch (error) {
    return error instanceof OutOfBounds
      ? error.message
      : 'The spreadsheet is damaged: a sheet of it cannot be read.';
  }
}
