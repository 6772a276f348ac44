import { useEffect, useRef, useState } from 'react';

const SECOND = 1000;

/** An end by the port's clock, and what that clock said when it was told. */
export interface End {
  /** Ms since 1970; null: nothing ends it but the teacher's closing. */
  readonly endsAt: number | null;
  readonly now: number;
}

/**
 * How many milliseconds are left until an end, by a clock that runs evenly whatever becomes of the device's time of day; null
 * without an end. `onEnd` is called once when nothing is left.
 */
export function useTimeLeft({ endsAt, now }: End, onEnd: () => void): number | null {
  const [left, setLeft] = useState(() => (endsAt === null ? null : endsAt - now));
  const ended = useRef(false);
  const end = useRef(onEnd);
  useEffect(() => {
    end.current = onEnd;
  });
  useEffect(() => {
    if (endsAt === null) {
      setLeft(null);
      return;
    }
    const told = performance.now();
    ended.current = false;
    const tick = () => {
      const rest = endsAt - now - (performance.now() - told);
      setLeft(Math.max(0, rest));
      if (rest > 0 || ended.current) return;
      ended.current = true;
      end.current();
    };
    tick();
    const timer = setInterval(tick, SECOND);
    return () => clearInterval(timer);
  }, [endsAt, now]);
  return left;
}
