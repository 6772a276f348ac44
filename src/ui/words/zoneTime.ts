import { now } from '@/device/clock';

/** The year is said where day and month alone could be those of another year: this far away, in ms. */
const NEAR = 300 * 86_400_000;
const formats = new Map<string, Intl.DateTimeFormat>();

/** A weekday says it alone for this long, in ms: after it the same weekday comes again. */
const THIS_WEEK = 6 * 86_400_000;

const DAY = { day: 'numeric', month: 'short' } as const;
const TIME = { hour: '2-digit', minute: '2-digit' } as const;

function formatOf(zone: string, fields: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify([zone, fields]);
  const kept = formats.get(key);
  if (kept) return kept;
  const made = new Intl.DateTimeFormat(undefined, { ...fields, ...TIME, timeZone: zone });
  formats.set(key, made);
  return made;
}

const yearOf = (at: number) => (Math.abs(at - now()) > NEAR ? ({ year: 'numeric' } as const) : {});

/** Day and time by the clock of a time zone, which is not always that of this browser. */
export const dayAndTimeIn = (at: number, zone: string): string =>
  formatOf(zone, { weekday: 'short', ...DAY, ...yearOf(at) }).format(at);

/** The same in as few words as tell it: the weekday within a week from now, otherwise the date. */
export const shortTimeIn = (at: number, zone: string): string =>
  formatOf(
    zone,
    at >= now() && at - now() < THIS_WEEK ? { weekday: 'short' } : { ...DAY, ...yearOf(at) },
  ).format(at);
