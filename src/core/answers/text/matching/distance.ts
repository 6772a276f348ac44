import type { Equivalents } from '../accents';

const FAR = 1e6;

function endsWith(letters: readonly string[], end: number, spelling: string): boolean {
  if (end < spelling.length) return false;
  for (let at = 0; at < spelling.length; at++) {
    if (letters[end - spelling.length + at] !== spelling[at]) return false;
  }
  return true;
}

/** Number of letters by which equivalents could make one side longer. */
function stretch(letters: readonly string[], same: Equivalents): number {
  if (same.size === 0) return 0;
  return letters.filter((letter) => same.has(letter)).length;
}

/**
 * Typing errors between two texts given as graphemes: one added, lost or changed, or two neighbours
 * swapped (optimal string alignment; Damerau 1964, Boytsov 2011). Spellings in `same` cost nothing.
 * Gives null where there are more than `limit`.
 */
export function typingErrors(
  a: readonly string[],
  b: readonly string[],
  limit: number,
  same: Equivalents,
): number | null {
  const band = limit + stretch(a, same) + stretch(b, same);
  if (Math.abs(a.length - b.length) > band) return null;
  const width = b.length + 1;
  const rows = rowsOf(width);
  for (let i = 0; i <= a.length; i++) {
    const row = rows[i % 3] as Int32Array;
    row.fill(FAR, 0, width);
    const from = Math.max(0, i - band);
    const to = Math.min(b.length, i + band);
    let least = FAR;
    for (let j = from; j <= to; j++) {
      row[j] = i === 0 && j === 0 ? 0 : cheapest(a, b, i, j, rows, same);
      least = Math.min(least, row[j] as number);
    }
    if (least > limit && same.size === 0) return null;
  }
  const errors = (rows[a.length % 3] as Int32Array)[b.length] as number;
  return errors <= limit ? errors : null;
}

type Rows = readonly [Int32Array, Int32Array, Int32Array];

/** Room for three rows, used again by every comparison: most of them end after a few letters. */
let room: Rows = [new Int32Array(64), new Int32Array(64), new Int32Array(64)];

function rowsOf(width: number): Rows {
  if (room[0].length < width)
    room = [new Int32Array(2 * width), new Int32Array(2 * width), new Int32Array(2 * width)];
  return room;
}

function cheapest(
  a: readonly string[],
  b: readonly string[],
  i: number,
  j: number,
  rows: Rows,
  same: Equivalents,
): number {
  const row = rows[i % 3] as Int32Array;
  const above = rows[(i + 2) % 3] as Int32Array;
  const twoAbove = rows[(i + 1) % 3] as Int32Array;
  let best = FAR;
  if (i > 0) best = Math.min(best, (above[j] as number) + 1);
  if (j > 0) best = Math.min(best, (row[j - 1] as number) + 1);
  if (i > 0 && j > 0) best = Math.min(best, (above[j - 1] as number) + (a[i - 1] === b[j - 1] ? 0 : 1));
  if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
    best = Math.min(best, (twoAbove[j - 2] as number) + 1);
  }
  if (same.size === 0) return best;
  return Math.min(best, byEquivalents(a, b, i, j, rows, same));
}

function byEquivalents(
  a: readonly string[],
  b: readonly string[],
  i: number,
  j: number,
  rows: Rows,
  same: Equivalents,
): number {
  let best = FAR;
  for (const spelling of (i > 0 && same.get(a[i - 1] as string)) || []) {
    if (!endsWith(b, j, spelling)) continue;
    best = Math.min(best, (rows[(i + 2) % 3] as Int32Array)[j - spelling.length] as number);
  }
  for (const spelling of (j > 0 && same.get(b[j - 1] as string)) || []) {
    if (spelling.length > 2 || !endsWith(a, i, spelling)) continue;
    best = Math.min(best, (rows[(i + 3 - spelling.length) % 3] as Int32Array)[j - 1] as number);
  }
  return best;
}
