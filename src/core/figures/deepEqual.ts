/** Canonical text of plain data: equal for equal content, whatever the order of its fields. */
export function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

export const same = (a: unknown, b: unknown): boolean => a === b || canonical(a) === canonical(b);
