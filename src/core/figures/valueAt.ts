/**
 * What a record holds under an id; undefined where it holds nothing of its own. Ids come from outside, and every record has
 * properties that nobody put there: `constructor` is one.
 */
export const valueAt = <Value>(record: Readonly<Record<string, Value>>, name: string): Value | undefined =>
  Object.hasOwn(record, name) ? record[name] : undefined;
