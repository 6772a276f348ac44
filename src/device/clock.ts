/** The clock is one service: everything that depends on the time asks here. Milliseconds since 1970, UTC. */
export const now = (): number => Date.now();

/** The time zone of this browser, such as `Europe/Berlin`. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
