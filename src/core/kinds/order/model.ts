import { fraction, ZERO, type Fraction } from '../../figures/fraction';
import type { OrderModel } from './schema';

/** Where each placed item stands in the key: −1 for an empty place. */
type Places = readonly number[];

/** Key neighbours that stand together and in order. */
const neighbours = (places: Places): number =>
  places.filter((at, index) => index > 0 && at > 0 && places[index - 1] === at - 1).length;

/** The longest stretch of the key that stands together; 0 with nothing placed. */
export function longestRun(places: Places): number {
  let longest = 0;
  let run = 0;
  places.forEach((at, index) => {
    if (at < 0) run = 0;
    else run = index > 0 && places[index - 1] === at - 1 && run > 0 ? run + 1 : 1;
    longest = Math.max(longest, run);
  });
  return longest;
}

/** The longest subsequence that is in order (patience sorting: Schensted 1961). */
function longestRising(places: Places): number {
  const tails: number[] = [];
  for (const at of places.filter((place) => place >= 0)) {
    let low = 0;
    let high = tails.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((tails[middle] as number) < at) low = middle + 1;
      else high = middle;
    }
    tails[low] = at;
  }
  return tails.length;
}

/** Pairs of placed items that stand in the order of the key. */
function pairsInOrder(places: Places): number {
  const placed = places.filter((at) => at >= 0);
  let pairs = 0;
  placed.forEach((at, index) => {
    for (const later of placed.slice(index + 1)) if (later > at) pairs++;
  });
  return pairs;
}

function runCredit(
  run: number,
  n: number,
  { least, table }: Extract<OrderModel, { kind: 'longestRun' }>,
): Fraction {
  if (table) {
    const rows = table.filter((row) => row.run <= run).sort((a, b) => b.run - a.run);
    return rows[0]?.credit ?? ZERO;
  }
  return run < Math.min(least, n) ? ZERO : fraction(run, n);
}

/** The credit of an order of n items, n at least 2: see `docs/marking.md`, put in order. */
export function orderCredit(places: Places, n: number, model: OrderModel): Fraction {
  const inPlace = places.filter((at, index) => at === index).length;
  switch (model.kind) {
    case 'allOrNothing':
      return fraction(inPlace === n ? 1 : 0);
    case 'rightPlaces':
      return fraction(inPlace, n);
    case 'neighbours':
      return fraction(neighbours(places), n - 1);
    case 'longestRun':
      return runCredit(longestRun(places), n, model);
    case 'keptOrder':
      return fraction(Math.max(0, longestRising(places) - 1), n - 1);
    case 'pairsInOrder':
      return fraction(2 * pairsInOrder(places), n * (n - 1));
  }
}
