/** The clock is one service: everything that depends on the time asks here. Milliseconds since 1970, UTC. */
export const now = (): number => Date.now();
