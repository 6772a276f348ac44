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

/** Every way to part a pair at one of its arrows, the last one first: a name may hold arrows itself. */
export function splitPair(part: string): [string, string][] {
  const ways: [string, string][] = [];
  for (let at = part.lastIndexOf('→'); at >= 0; at = at === 0 ? -1 : part.lastIndexOf('→', at - 1))
    ways.push([part.slice(0, at).trim(), part.slice(at + 1).trim()]);
  return ways;
}
