import { canonical } from '../figures/deepEqual';

/** The same plain data with lists in another order, told as the orders alone. */

type Path = readonly (string | number)[];
/** Where a list stands, and which of its items come one after the other, by their places. */
export type Rearranged = readonly (readonly [path: Path, order: readonly number[]])[];

type Plain = null | boolean | number | string | readonly Plain[] | { readonly [name: string]: Plain };

/** For each item of `other` its place in `list`, each place once; null where they are not the same items. */
function orderOf(list: readonly Plain[], other: readonly Plain[]): number[] | null {
  const places = new Map<string, number[]>();
  list.forEach((item, at) => {
    const text = canonical(item);
    places.set(text, [...(places.get(text) ?? []), at]);
  });
  const order = other.map((item) => places.get(canonical(item))?.shift());
  return order.includes(undefined) ? null : (order as number[]);
}

function walk(base: Plain, other: Plain, path: Path): Rearranged | null {
  if (canonical(base) === canonical(other)) return [];
  if (Array.isArray(base) && Array.isArray(other) && base.length === other.length) {
    const order = orderOf(base as Plain[], other as Plain[]);
    if (order) return [[path, order]];
    return all(
      (base as Plain[]).map((item, at) => walk(item, (other as Plain[])[at] as Plain, [...path, at])),
    );
  }
  if (
    isObject(base) &&
    isObject(other) &&
    canonical(Object.keys(base).sort()) === canonical(Object.keys(other).sort())
  )
    return all(
      Object.keys(base).map((name) => walk(base[name] as Plain, other[name] as Plain, [...path, name])),
    );
  return null;
}

const isObject = (value: Plain): value is { readonly [name: string]: Plain } =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const all = (parts: readonly (Rearranged | null)[]): Rearranged | null =>
  parts.includes(null) ? null : parts.flatMap((part) => part ?? []);

/** How `other` comes of `base` by nothing but the order of lists; null where more than that differs. */
export const rearrangementOf = (base: unknown, other: unknown): Rearranged | null =>
  walk(base as Plain, other as Plain, []);

function set(value: Plain, path: Path, change: (list: readonly Plain[]) => Plain): Plain {
  const [first, ...rest] = path;
  if (first === undefined) return change(value as readonly Plain[]);
  if (Array.isArray(value))
    return (value as Plain[]).map((item, at) => (at === first ? set(item, rest, change) : item));
  const record = value as { readonly [name: string]: Plain };
  return { ...record, [first]: set(record[first] as Plain, rest, change) };
}

/** `base` with its lists in the orders told. */
export const rearranged = <Data>(base: Data, orders: Rearranged): Data =>
  orders.reduce<Plain>(
    (now, [path, order]) => set(now, path, (list) => order.map((place) => list[place] as Plain)),
    base as Plain,
  ) as Data;
