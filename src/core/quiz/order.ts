/** The order with `id` put behind `after`; at the end where that is null or unknown. */
export function insertAfter(order: readonly string[], id: string, after: string | null): string[] {
  const at = after === null ? -1 : order.indexOf(after);
  return at < 0 ? [...order, id] : [...order.slice(0, at + 1), id, ...order.slice(at + 1)];
}

/** The order with the item at `from` moved to `to`; unchanged where either lies outside. */
export function move<One>(order: readonly One[], from: number, to: number): One[] {
  const moved = [...order];
  if (to < 0 || to >= order.length) return moved;
  const [one] = moved.splice(from, 1);
  if (one === undefined) return [...order];
  moved.splice(to, 0, one);
  return moved;
}
