import { now } from '@/store/records/clock';

/** The year is said where day and month alone could be those of another year: this far away, in ms. */
const NEAR = 300 * 86_400_000;
const formats = new Map<string, Intl.DateTimeFormat>();

/** Day and time by the clock of a time zone, which is not always that of this browser. */
export function dayAndTimeIn(at: number, zone: string): string {
  const year = Math.abs(at - now()) > NEAR ? ('numeric' as const) : undefined;
  const key = `${zone} ${year ?? ''}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat(undefined, {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      year,
      hour: '2-digit',
      minute: '2-digit',
      timeZone: zone,
    });
    formats.set(key, format);
  }
  return format.format(at);
}
