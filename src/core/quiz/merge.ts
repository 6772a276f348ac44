import type { Formula } from '../content/formula';
import { formulasIn } from '../content/formulaText';
import { same } from '../figures/deepEqual';

/** Taking one change back out of data that may have been changed since: field by field, entry by entry. */

type Merged<Value> = { readonly ok: true; readonly value: Value } | { readonly ok: false };

const merged = <Value>(value: Value): Merged<Value> => ({ ok: true, value });
const CLASH: { ok: false } = { ok: false };

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Lists whose entries are told apart by an id, or are texts. */
const keyOf = (entry: unknown): string | null =>
  typeof entry === 'string' ? entry : isRecord(entry) && typeof entry['id'] === 'string' ? entry['id'] : null;

type EntriesById = ReadonlyMap<string, unknown>;

function keyed(list: readonly unknown[]): EntriesById | null {
  const entries = list.map((entry) => [keyOf(entry), entry] as const);
  if (entries.some(([key]) => key === null)) return null;
  const map = new Map(entries as [string, unknown][]);
  return map.size === list.length ? map : null;
}

/** Entries that came go, entries that went come back behind their old neighbour, entries that changed are merged. */
function mergeLists(
  from: readonly unknown[],
  to: readonly unknown[],
  now: readonly unknown[],
): Merged<unknown> {
  const [a, b, current] = [keyed(from), keyed(to), keyed(now)];
  if (!a || !b || !current) return CLASH;
  const order = (list: EntriesById, other: EntriesById) => [...list.keys()].filter((key) => other.has(key));
  // What was only moved can be moved back only where nothing has moved since.
  if (!same(order(a, b), order(b, a))) return CLASH;
  const result: [string, unknown][] = [];
  for (const [key, entry] of current) {
    if (!a.has(key)) result.push([key, entry]);
    else if (b.has(key)) {
      const one = merge(a.get(key), b.get(key), entry);
      if (!one.ok) return CLASH;
      result.push([key, one.value]);
    } else if (!same(entry, a.get(key))) return CLASH;
  }
  const keys = [...b.keys()];
  for (const key of keys.filter((one) => !a.has(one) && !current.has(one))) {
    const before = keys.slice(0, keys.indexOf(key));
    const at = result.findLastIndex(([other]) => before.includes(other));
    result.splice(at + 1, 0, [key, b.get(key)]);
  }
  return merged(result.map(([, entry]) => entry));
}

/** What was made of formulas follows the texts that were merged, whichever of the versions wrote them. */
function withFormulasOf(
  result: Readonly<Record<string, unknown>>,
  versions: readonly Readonly<Record<string, unknown>>[],
): Readonly<Record<string, unknown>> {
  const known = versions.flatMap(({ formulas }) => (formulas ?? []) as Formula[]);
  if (known.length === 0) return result;
  const { formulas: _, ...rest } = result;
  const formulas = formulasIn(rest, known);
  return formulas.length > 0 ? { ...rest, formulas } : rest;
}

function mergeRecords(
  from: Readonly<Record<string, unknown>>,
  to: Readonly<Record<string, unknown>>,
  now: Readonly<Record<string, unknown>>,
): Merged<unknown> {
  const result: Record<string, unknown> = { ...now };
  for (const field of new Set([...Object.keys(from), ...Object.keys(to)])) {
    if (field === 'formulas') continue;
    const one = merge(from[field], to[field], now[field]);
    if (!one.ok) return CLASH;
    if (one.value === undefined) delete result[field];
    else result[field] = one.value;
  }
  return merged(withFormulasOf(result, [now, to, from]));
}

/**
 * What stands now with the change from `from` to `to` made in it. Where the same place has been changed since in
 * another way there is no answer.
 */
export function merge<Value>(from: Value, to: Value, now: Value): Merged<Value> {
  if (same(from, to)) return merged(now);
  if (same(now, from)) return merged(to);
  if (Array.isArray(from) && Array.isArray(to) && Array.isArray(now))
    return mergeLists(from, to, now) as Merged<Value>;
  if (isRecord(from) && isRecord(to) && isRecord(now)) return mergeRecords(from, to, now) as Merged<Value>;
  return CLASH;
}
