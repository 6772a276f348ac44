/** Wall-clock times of a place, by its IANA time zone: days there are not always 24 hours long. */

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const readers = new Map<string, Intl.DateTimeFormat>();

function readerOf(zone: string): Intl.DateTimeFormat {
  let reader = readers.get(zone);
  if (!reader) {
    reader = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      hourCycle: 'h23',
      era: 'short',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    readers.set(zone, reader);
  }
  return reader;
}

/** True for a name such as `Europe/Berlin` that this machine knows. */
export function isZone(zone: string): boolean {
  try {
    readerOf(zone);
    return true;
  } catch {
    return false;
  }
}

/** What a zone's reader says of an instant, as if it were UTC: milliseconds since 1970, cut to the second. */
function readClock(at: number, zone: string): number {
  const parts = Object.fromEntries(
    readerOf(zone)
      .formatToParts(at)
      .map(({ type, value }) => [type, value]),
  );
  const year = Number(parts['year']) * (parts['era'] === 'BC' ? -1 : 1);
  return Date.UTC(
    year,
    Number(parts['month']) - 1,
    Number(parts['day']),
    Number(parts['hour']),
    Number(parts['minute']),
    Number(parts['second']),
  );
}

/** Offsets kept by zone and hour of UTC; null where the offset changes within the hour. */
const offsets = new Map<string, Map<number, number | null>>();
const MOST_OFFSETS = 10_000;

function offsetOfHour(hour: number, zone: string): number | null {
  let ofZone = offsets.get(zone);
  if (!ofZone) offsets.set(zone, (ofZone = new Map()));
  const known = ofZone.get(hour);
  if (known !== undefined) return known;
  const start = readClock(hour * HOUR, zone) - hour * HOUR;
  const end = readClock((hour + 1) * HOUR - 1000, zone) - ((hour + 1) * HOUR - 1000);
  const offset = start === end ? start : null;
  if (ofZone.size >= MOST_OFFSETS) ofZone.clear();
  ofZone.set(hour, offset);
  return offset;
}

/** What the clock on the wall shows at an instant, as if it were UTC: milliseconds since 1970, cut to the second. */
export function wallClock(at: number, zone: string): number {
  const offset = offsetOfHour(Math.floor(at / HOUR), zone);
  return offset === null ? readClock(at, zone) : Math.floor(at / 1000) * 1000 + offset;
}

/**
 * The instant at which the clock on the wall shows `wall` (written as if it were UTC). A time that is skipped
 * when clocks go forward moves behind the gap; of a time that comes twice, the second is meant.
 */
export function instantAt(wall: number, zone: string): number {
  // The clock is read to the second.
  const rest = ((wall % 1000) + 1000) % 1000;
  return rest + instantAtSecond(wall - rest, zone);
}

function instantAtSecond(wall: number, zone: string): number {
  const before = wallClock(wall - DAY, zone) - (wall - DAY);
  const after = wallClock(wall + DAY, zone) - (wall + DAY);
  const candidates = [wall - before, wall - after];
  const fitting = candidates.filter((at) => wallClock(at, zone) === wall);
  if (fitting.length > 0) return Math.max(...fitting);
  // Skipped: counted with the offset of before, the clock stands as far behind the gap as it would have in it.
  return wall - before;
}

/** The same wall-clock time some days later. */
export const daysLater = (at: number, days: number, zone: string): number =>
  instantAt(wallClock(at, zone) + (at % 1000) + days * DAY, zone);
