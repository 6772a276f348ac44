import { useEffect, useReducer } from 'react';
import { now } from '@/device/clock';

const EVERY = 15_000;

/** The time as of this drawing, which is made anew at least every 15 seconds, so that what depends on it stays true. */
export function useNow(): number {
  const [, tick] = useReducer((times: number) => times + 1, 0);
  useEffect(() => {
    const timer = setInterval(tick, EVERY);
    return () => clearInterval(timer);
  }, []);
  return now();
}
