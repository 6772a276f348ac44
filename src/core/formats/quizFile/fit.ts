import { z } from '../../zod';
import { refused, type Result } from './archive';
import { problemWords } from './locatedMessages';

/** Data from a file against its schema: what does not fit is said with its place, and work ends once enough is wrong. */

const MOST_PROBLEMS = 10;
/** Longer lists are looked at entry by entry. */
const LONG = 100;
/** Records have as many entries as there are questions, students or pages. */
const MOST_ENTRIES = 20_000;

type Schema = z.core.$ZodType;
type Issue = z.core.$ZodIssue;
type Path = readonly PropertyKey[];
type Json = Record<string, unknown>;

const isJson = (data: unknown): data is Json =>
  typeof data === 'object' && data !== null && !Array.isArray(data);

/** What a schema says, without the wrappings that say when there may be nothing. */
function bare(schema: Schema): z.core.$ZodTypes {
  const { def } = (schema as z.core.$ZodTypes)._zod;
  if (def.type === 'nullable' || def.type === 'optional' || def.type === 'default' || def.type === 'readonly')
    return bare(def.innerType);
  if (def.type === 'pipe') return bare(def.in);
  if (def.type === 'lazy') return bare(def.getter());
  return schema as z.core.$ZodTypes;
}

/** The most entries that a list may have. */
function mostOf(checks: readonly z.core.$ZodCheck<never>[] | undefined): number {
  const most = (checks ?? []).flatMap((check) => {
    const { def } = check._zod as unknown as { def: { check: string; maximum?: number } };
    return def.check === 'max_length' && def.maximum !== undefined ? [def.maximum] : [];
  });
  return Math.min(Infinity, ...most);
}

const tooLong = (path: Path, maximum: number): Issue =>
  ({ code: 'too_big', origin: 'array', maximum, inclusive: true, path: [...path], message: '' }) as Issue;

/** The one of several forms that data names by the field that tells them apart; all of them where none does. */
function formsFor(
  options: readonly Schema[],
  discriminator: string | undefined,
  data: unknown,
): readonly Schema[] {
  if (discriminator === undefined || !isJson(data)) return options;
  return options.filter((option) => {
    const { def } = bare(option)._zod;
    const field = def.type === 'object' ? def.shape[discriminator] : undefined;
    return field !== undefined && z.safeParse(field, data[discriminator]).success;
  });
}

/** The first list that is longer than its schema allows, found without looking at what is in it; null: none. */
export function overlong(schema: Schema, data: unknown, path: Path = []): Issue | null {
  if (typeof data !== 'object' || data === null) return null;
  const { def } = bare(schema)._zod;
  switch (def.type) {
    case 'array': {
      if (!Array.isArray(data)) return null;
      const most = mostOf(def.checks as readonly z.core.$ZodCheck<never>[] | undefined);
      return data.length > most
        ? tooLong(path, most)
        : first(data, (one, at) => overlong(def.element, one, [...path, at]));
    }
    case 'tuple':
      return Array.isArray(data)
        ? first(def.items, (item, at) => overlong(item, data[at], [...path, at]))
        : null;
    case 'object':
      return isJson(data)
        ? first(Object.entries(def.shape), ([name, field]) =>
            Object.hasOwn(data, name) ? overlong(field, data[name], [...path, name]) : null,
          )
        : null;
    case 'record': {
      if (!isJson(data)) return null;
      const entries = Object.entries(data);
      return entries.length > MOST_ENTRIES
        ? tooLong(path, MOST_ENTRIES)
        : first(entries, ([name, value]) => overlong(def.valueType, value, [...path, name]));
    }
    case 'union': {
      const { discriminator } = def as { discriminator?: string };
      return first(formsFor(def.options, discriminator, data), (option) => overlong(option, data, path));
    }
    default:
      return null;
  }
}

function first<One>(all: readonly One[], find: (one: One, at: number) => Issue | null): Issue | null {
  for (const [at, one] of all.entries()) {
    const found = find(one, at);
    if (found) return found;
  }
  return null;
}

interface LongList {
  readonly path: Path;
  readonly element: Schema;
  readonly entries: readonly unknown[];
}

/** The data with its long lists, at any depth of records, taken out of it. */
function apart(schema: Schema, data: unknown, path: Path = []): { shell: unknown; lists: LongList[] } {
  const { def } = bare(schema)._zod;
  if (def.type === 'array' && Array.isArray(data) && data.length > LONG) {
    const checks = (def.checks ?? []) as readonly z.core.$ZodCheck<never>[];
    const saysMore = checks.some(
      (check) => (check._zod as unknown as { def: { check: string } }).def.check !== 'max_length',
    );
    if (!saysMore) return { shell: [], lists: [{ path, element: def.element, entries: data }] };
  }
  if (def.type !== 'object' || !isJson(data)) return { shell: data, lists: [] };
  const shell = { ...data };
  const lists: LongList[] = [];
  for (const [name, field] of Object.entries(def.shape)) {
    if (!Object.hasOwn(data, name)) continue;
    const part = apart(field, data[name], [...path, name]);
    shell[name] = part.shell;
    lists.push(...part.lists);
  }
  return { shell, lists };
}

/** The entries of a list as they were read, or what is wrong with the first of them. */
function readList({ element, entries, path }: LongList): { read: unknown[]; issues: Issue[] } {
  const read: unknown[] = [];
  const issues: Issue[] = [];
  for (const [at, entry] of entries.entries()) {
    const one = z.safeParse(element, entry);
    if (one.success) read.push(one.data);
    else issues.push(...one.error.issues.map((issue) => ({ ...issue, path: [...path, at, ...issue.path] })));
    if (issues.length > MOST_PROBLEMS) break;
  }
  return { read, issues };
}

/** Puts a list back where it was taken from. */
function putBack(data: unknown, path: Path, list: readonly unknown[]): void {
  const inside = path.slice(0, -1).reduce<unknown>((value, step) => (value as Json)[step as string], data);
  (inside as Json)[path.at(-1) as string] = list;
}

/** Checks data against a schema; what does not fit is said with its place. */
export function fit<Value>(schema: z.ZodType<Value>, data: unknown): Result<Value> {
  const said = (issues: readonly Issue[]): { ok: false; problems: string[] } => {
    const words = issues.slice(0, MOST_PROBLEMS).map((issue) => problemWords(issue, data));
    const more = issues.length - words.length;
    return refused(...words, ...(more > 0 ? [`and ${more} more`] : []));
  };
  const long = overlong(schema, data);
  if (long) return said([long]);
  const { shell, lists } = apart(schema, data);
  const whole = schema.safeParse(shell);
  if (!whole.success) return said(whole.error.issues);
  if (lists.some(({ path }) => path.length === 0)) return refused('The file is a list.');
  for (const list of lists) {
    const { read, issues } = readList(list);
    if (issues.length > 0) return said(issues);
    putBack(whole.data, list.path, read);
  }
  return { ok: true, value: whole.data };
}
