/** How an answer of several parts stands in one cell of a file: parts joined by semicolons, pairs by an arrow. */

const ARROW = ' → ';

/** A semicolon or backslash within a part is marked by a backslash. */
const escaped = (part: string): string => part.replace(/[\\;]/g, (sign) => `\\${sign}`);

export const joinParts = (parts: readonly string[]): string => parts.map(escaped).join('; ');

/** The parts of a cell, trimmed; empty ones between semicolons stay, so that places can be empty. */
export function splitParts(cell: string): string[] {
  if (cell.trim() === '') return [];
  const parts: string[] = [];
  let current = '';
  for (let at = 0; at < cell.length; at++) {
    const sign = cell[at] as string;
    if (sign === '\\' && at + 1 < cell.length) current += cell[++at];
    else if (sign === ';') {
      parts.push(current);
      current = '';
    } else current += sign;
  }
  parts.push(current);
  return parts.map((part) => part.trim());
}

export const joinPair = (left: string, right: string): string => `${left}${ARROW}${right}`;

/** A pair's two sides; null where no arrow stands between any. */
export function splitPair(part: string): [string, string] | null {
  const at = part.lastIndexOf('→');
  return at < 0 ? null : [part.slice(0, at).trim(), part.slice(at + 1).trim()];
}
