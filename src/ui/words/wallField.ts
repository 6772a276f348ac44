import { instantAt, wallClock } from '@/core/figures/wallClock';

/** An instant as a field for date and time holds it: the wall clock of a zone, to the minute. */
export const toWallField = (at: number, zone: string): string =>
  new Date(wallClock(at, zone)).toISOString().slice(0, 16);

/** The instant that such a field means; NaN where it is empty or half filled. */
export function fromWallField(text: string, zone: string): number {
  const wall = Date.parse(`${text}Z`);
  return Number.isNaN(wall) ? NaN : instantAt(wall, zone);
}

/** A zone by its name, as people write it. */
export const zoneName = (zone: string): string => zone.replaceAll('_', ' ');
