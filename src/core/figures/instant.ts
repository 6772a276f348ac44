import { z } from '../zod';

/** The last moment of the year 9999: what calendars, and what is worked out from a moment by hours and days, can hold. */
export const LAST_INSTANT = 253_402_300_799_999;

/** A moment: milliseconds since 1970, UTC. */
export const Instant = z.number().int().min(0).max(LAST_INSTANT);
