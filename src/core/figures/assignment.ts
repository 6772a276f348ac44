/**
 * The cheapest assignment of every row to a column of its own (Kuhn 1955, in the form with potentials,
 * O(rows² × columns)). `cost[row][column]` are finite numbers; there are at least as many columns as rows.
 * Gives for each row its column.
 */
export function cheapestAssignment(cost: readonly (readonly number[])[]): number[] {
  const rows = cost.length;
  const columns = cost[0]?.length ?? 0;
  const rowPotential = new Float64Array(rows + 1);
  const columnPotential = new Float64Array(columns + 1);
  const owner = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    const way = augment(cost, row, rowPotential, columnPotential, owner);
    let column = way.last;
    while (column !== 0) {
      const before = way.previous[column] as number;
      owner[column] = owner[before] as number;
      column = before;
    }
  }
  const chosen = new Array<number>(rows).fill(-1);
  for (let column = 1; column <= columns; column++) {
    const row = owner[column] as number;
    if (row > 0) chosen[row - 1] = column - 1;
  }
  return chosen;
}

/** Finds the cheapest way to give `row` a column, moving other rows where that is cheaper. */
function augment(
  cost: readonly (readonly number[])[],
  row: number,
  rowPotential: Float64Array,
  columnPotential: Float64Array,
  owner: Int32Array,
): { last: number; previous: Int32Array } {
  const columns = columnPotential.length - 1;
  const slack = new Float64Array(columns + 1).fill(Infinity);
  const previous = new Int32Array(columns + 1);
  const used = new Uint8Array(columns + 1);
  owner[0] = row;
  let column = 0;
  do {
    used[column] = 1;
    const current = owner[column] as number;
    let delta = Infinity;
    let next = 0;
    for (let j = 1; j <= columns; j++) {
      if (used[j]) continue;
      const reduced =
        ((cost[current - 1] as readonly number[])[j - 1] as number) -
        (rowPotential[current] as number) -
        (columnPotential[j] as number);
      if (reduced < (slack[j] as number)) {
        slack[j] = reduced;
        previous[j] = column;
      }
      if ((slack[j] as number) < delta) {
        delta = slack[j] as number;
        next = j;
      }
    }
    for (let j = 0; j <= columns; j++) {
      if (used[j]) {
        const owned = owner[j] as number;
        rowPotential[owned] = (rowPotential[owned] as number) + delta;
        columnPotential[j] = (columnPotential[j] as number) - delta;
      } else slack[j] = (slack[j] as number) - delta;
    }
    column = next;
  } while (owner[column] !== 0);
  return { last: column, previous };
}
