import { cheapestAssignment } from './assignment';
import { add, compare, ZERO, type Fraction } from './fraction';

const MOST = 1e12;

function commonDenominator(values: Iterable<Fraction>): number {
  let common = 1;
  for (const { d } of values) {
    let [a, b] = [common, d];
    while (b !== 0) [a, b] = [b, a % b];
    common = (common / a) * d;
    if (common > MOST) return MOST;
  }
  return common;
}

/** The highest sum of values with each row given at most one column and each column to at most one row. */
function bestSum(
  values: readonly (readonly (Fraction | null)[])[],
  rows: readonly number[],
  columns: readonly number[],
): Fraction {
  if (rows.length === 0 || columns.length === 0) return ZERO;
  const common = commonDenominator(values.flat().filter((value) => value !== null));
  // One more column for each row to stay without any.
  const cost = rows.map((row) => [
    ...columns.map((column) => {
      const value = values[row]?.[column];
      return value && value.n > 0 ? -Math.round((value.n * common) / value.d) : 0;
    }),
    ...rows.map(() => 0),
  ]);
  return cheapestAssignment(cost).reduce((sum, at, index) => {
    const value = columns[at] === undefined ? null : values[rows[index] as number]?.[columns[at]];
    return value && value.n > 0 ? add(sum, value) : sum;
  }, ZERO);
}

/**
 * Gives rows to columns so that the sum of their values is highest (maximum-weight assignment); of equal sums the one
 * in which the first row's value is highest, then the second's, and so on, then the earlier column. `values[row][column]`
 * is null where the two do not go together; values of 0 and below are never taken. Gives each row's column, or null.
 */
export function bestPairs(values: readonly (readonly (Fraction | null)[])[]): (number | null)[] {
  const width = Math.max(0, ...values.map((row) => row.length));
  let columns = Array.from({ length: width }, (_, column) => column);
  let wanted = bestSum(
    values,
    values.map((_, row) => row),
    columns,
  );
  return values.map((row, index) => {
    const later = values.map((_, at) => at).slice(index + 1);
    const choices = columns
      .filter((column) => (row[column]?.n ?? 0) > 0)
      .sort((a, b) => compare(row[b] as Fraction, row[a] as Fraction) || a - b);
    for (const column of choices) {
      const left = columns.filter((other) => other !== column);
      const rest = bestSum(values, later, left);
      if (compare(add(row[column] as Fraction, rest), wanted) < 0) continue;
      columns = left;
      wanted = rest;
      return column;
    }
    return null;
  });
}
