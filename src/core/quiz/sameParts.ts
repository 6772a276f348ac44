/** Every id within a record, in the order in which they stand. */
function* idsIn(value: unknown): Generator<string> {
  if (typeof value !== 'object' || value === null) return;
  if ('id' in value && typeof value.id === 'string') yield value.id;
  for (const one of Object.values(value)) yield* idsIn(one);
}

/** Whether two versions of something have the same parts (options, gaps, items, areas), in the same order: then only what these hold differs. */
export function sameParts(a: object, b: object): boolean {
  const [one, other] = [[...idsIn(a)], [...idsIn(b)]];
  return one.length === other.length && one.every((id, at) => id === other[at]);
}
