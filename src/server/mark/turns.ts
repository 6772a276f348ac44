/** Requests that are worked at together, and those that may wait for their turn. */
export interface Turns {
  /** A turn: call what it gives when done. null where too many wait already. */
  take(): Promise<() => void> | null;
}

/** Bounds how much goes on at once: `most` in work, `waiting` behind them, in the order in which they came. */
export function turns(most: number, waiting: number): Turns {
  let working = 0;
  const queue: (() => void)[] = [];
  const release = () => {
    const next = queue.shift();
    if (next) next();
    else working--;
  };
  const once = () => {
    let open = true;
    return () => {
      if (open) release();
      open = false;
    };
  };
  return {
    take() {
      if (working < most) {
        working++;
        return Promise.resolve(once());
      }
      if (queue.length >= waiting) return null;
      return new Promise((resolve) => queue.push(() => resolve(once())));
    },
  };
}

/** Longest stretch of work before others get a turn, in ms. */
const SLICE = 10;

/** Lets others in where a slice of time has passed. */
export function pauses(): () => Promise<void> {
  let begun = performance.now();
  return async () => {
    if (performance.now() - begun < SLICE) return;
    await new Promise((resolve) => setImmediate(resolve));
    begun = performance.now();
  };
}
