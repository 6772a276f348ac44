import { instantAt } from '../figures/wallClock';

/** Which of two numbers comes first where a date is written with both: the day or the month. */
export type DateOrder = 'dayFirst' | 'monthFirst';

const ISO =
  /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ]+(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?)?\s*(Z|[+-]\d{2}:?\d{2})?$/i;
/** `2026/11/23 1:00:10 AM GMT+1`: the year first, with a half of the day and an offset as programs write them. */
const YEAR_FIRST =
  /^(\d{4})[./-](\d{1,2})[./-](\d{1,2})[,T ]+(\d{1,2}):(\d{2})(?::(\d{2}))?\s*([ap]\.?m\.?)?\s*(?:(?:GMT|UTC)\s*([+-]\d{1,2}(?::?\d{2})?)?)?$/i;
/** `23 November 2026, 3:05 PM` and `November 23, 2026 15:05`, also with a day of the week in front. */
const NAMED_DAY_FIRST =
  /^(?:\p{L}+,?\s+)?(\d{1,2})\.?\s+(\p{L}+)\.?,?\s+(\d{4})[,T ]*(?:at\s+)?(?:(\d{1,2}):(\d{2})(?::(\d{2}))?\s*([ap]\.?m\.?)?)?$/iu;
const NAMED_MONTH_FIRST =
  /^(?:\p{L}+,?\s+)?(\p{L}+)\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})[,T ]*(?:at\s+)?(?:(\d{1,2}):(\d{2})(?::(\d{2}))?\s*([ap]\.?m\.?)?)?$/iu;
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MONTH_NAMES = [
  'january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december',
]; // prettier-ignore

/** 1 to 12 for the name of a month in English, whole, or its first three letters (Sept too); 0 for anything else. */
function monthOf(name: string): number {
  const word = name.toLowerCase();
  const short = word === 'sept' ? 'sep' : word;
  return MONTH_NAMES.indexOf(word) + 1 || MONTHS.indexOf(short) + 1;
}

const NUMERIC =
  /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})[,T ]*(?:(\d{1,2})[:.](\d{2})(?:[:.](\d{2}))?\s*([ap]\.?m\.?)?)?$/i;

function wall(
  year: number,
  month: number,
  day: number,
  hour: number,
  minute: number,
  second: number,
): number | null {
  const at = Date.UTC(year, month - 1, day, hour, minute, second);
  const date = new Date(at);
  const real =
    date.getUTCFullYear() === year &&
    date.getUTCMonth() === month - 1 &&
    date.getUTCDate() === day &&
    hour < 24 &&
    minute < 60 &&
    second < 60;
  return real ? at : null;
}

function offsetOf(text: string): number {
  if (/^z$/i.test(text)) return 0;
  const [, sign, hours, minutes] = /^([+-])(\d{2}):?(\d{2})$/.exec(text) ?? [];
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes)) * 60_000;
}

/** The hour of the day; with a half of the day only 1 to 12 are hours, and anything else is none. */
function hourOf(hour: string | undefined, half: string | undefined): number {
  const value = Number(hour ?? 0);
  if (!half) return value;
  if (value < 1 || value > 12) return NaN;
  return (value % 12) + (/^p/i.test(half) ? 12 : 0);
}

/**
 * The instant that a file writes as `2026-01-05 16:20` (with or without an offset), `5.1.2026 16:20`,
 * `1/5/2026 4:20 PM`, `2026/01/05 4:20:00 PM GMT+1`, `5 January 2026, 4:20 PM` or `Jan 5, 2026 16:20`. Without an offset it is wall-clock time in `zone`. Null for anything else, and for days that
 * do not exist.
 */
export function readTime(text: string, order: DateOrder, zone: string): number | null {
  const trimmed = text.trim();
  const iso = ISO.exec(trimmed);
  if (iso) {
    const [year, month, day, hour, minute, second] = iso.slice(1, 7).map((part) => Number(part ?? 0));
    const at = wall(year ?? 0, month ?? 0, day ?? 0, hour ?? 0, minute ?? 0, second ?? 0);
    if (at === null) return null;
    return iso[7] ? at - offsetOf(iso[7]) : instantAt(at, zone);
  }
  const yearFirst = YEAR_FIRST.exec(trimmed);
  if (yearFirst) return readYearFirst(yearFirst, zone);
  const named = readNamed(trimmed, zone);
  if (named !== undefined) return named;
  const numeric = NUMERIC.exec(trimmed);
  if (!numeric) return null;
  const [, first, second, year, hour, minute, seconds, half] = numeric;
  const [day, month] = order === 'dayFirst' ? [first, second] : [second, first];
  const at = wall(
    Number(year),
    Number(month),
    Number(day),
    hourOf(hour, half),
    Number(minute ?? 0),
    Number(seconds ?? 0),
  );
  return at === null ? null : instantAt(at, zone);
}

function readYearFirst(found: RegExpExecArray, zone: string): number | null {
  const [, year, month, day, hour, minute, second, half, offset] = found;
  const at = wall(
    Number(year),
    Number(month),
    Number(day),
    hourOf(hour, half),
    Number(minute),
    Number(second ?? 0),
  );
  if (at === null) return null;
  const named = /(?:GMT|UTC)/i.test(found[0]);
  return named ? at - shortOffset(offset) : instantAt(at, zone);
}

/** `+1`, `+01`, `+5:30` or `-0800` in ms; 0 for none. */
function shortOffset(text: string | undefined): number {
  const [, sign, hours, minutes] = /^([+-])(\d{1,2}):?(\d{2})?$/.exec(text ?? '') ?? [];
  return (sign === '-' ? -1 : 1) * (Number(hours ?? 0) * 60 + Number(minutes ?? 0)) * 60_000;
}

/** A date with the name of its month; undefined where it is not written so. */
function readNamed(text: string, zone: string): number | null | undefined {
  const dayFirst = NAMED_DAY_FIRST.exec(text);
  const monthFirst = dayFirst ? null : NAMED_MONTH_FIRST.exec(text);
  const found = dayFirst ?? monthFirst;
  if (!found) return undefined;
  const [day, month] = dayFirst ? [found[1], found[2]] : [found[2], found[1]];
  const at = wall(
    Number(found[3]),
    monthOf(month ?? ''),
    Number(day),
    hourOf(found[4], found[7]),
    Number(found[5] ?? 0),
    Number(found[6] ?? 0),
  );
  return at === null || monthOf(month ?? '') === 0 ? null : instantAt(at, zone);
}

/** The order in which a column writes its dates: month first only where some date can be nothing else. */
export function dateOrderOf(texts: readonly string[]): DateOrder {
  const parts = texts.flatMap((text) => {
    const numeric = NUMERIC.exec(text.trim());
    return numeric ? [[Number(numeric[1]), Number(numeric[2])] as const] : [];
  });
  const monthFirst = parts.some(([, second]) => second > 12) && parts.every(([first]) => first <= 12);
  return monthFirst ? 'monthFirst' : 'dayFirst';
}

/** True where at least half of the texts that are not empty read as a time. */
export function looksLikeTimes(texts: readonly string[]): boolean {
  const filled = texts.filter((text) => text.trim() !== '');
  const order = dateOrderOf(texts);
  const read = filled.filter((text) => readTime(text, order, 'UTC') !== null);
  return filled.length > 0 && read.length * 2 >= filled.length;
}
