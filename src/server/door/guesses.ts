/** Wrong tickets and tokens cost time: whoever tries many from one address waits longer and longer. */

/** So many wrong ones are free: a class types behind one address. */
const FREE = 30;
/** After so long without a wrong one it is forgotten: ms. */
const FORGOTTEN = 10 * 60_000;
/** The longest wait: ms. */
const LONGEST = 60_000;
const MOST_KNOWN = 10_000;

interface Tried {
  wrong: number;
  last: number;
}

export interface Guesses {
  /** How long an address has to wait before it may try again: ms, 0 at once. */
  wait(address: string): number;
  wrong(address: string): void;
}

export function guesses(now: () => number): Guesses {
  const known = new Map<string, Tried>();
  return {
    wait(address) {
      const tried = known.get(address);
      if (!tried || tried.wrong <= FREE) return 0;
      const pause = Math.min(LONGEST, 250 * 2 ** Math.min(20, tried.wrong - FREE));
      return Math.max(0, tried.last + pause - now());
    },
    wrong(address) {
      const tried = known.get(address);
      const isFresh = !tried || now() - tried.last > FORGOTTEN;
      known.delete(address);
      known.set(address, { wrong: isFresh ? 1 : tried.wrong + 1, last: now() });
      const oldest = known.keys().next().value;
      if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
    },
  };
}
