/** Hosts that mean the machine itself: from another one they lead nowhere. */
const OWN = /^(?:localhost|127(?:\.\d+){3}|\[::1\]|0\.0\.0\.0)$/;

/** True where this application's address can be opened from another machine. */
export const isReachable = (host: string): boolean => !OWN.test(host);

/** The address that opens a ticket: the ticket stands behind `#`, which no server sees and no log keeps. */
export const ticketAddress = (origin: string, code: string): string => `${origin}/in/#${code}`;
