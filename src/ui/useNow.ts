import { useEffect, useState } from 'react';
import { now } from '@/store/clock';

/** The time, looked at again every 15 seconds, so that what depends on it stays true on an open page. */
export function useNow(): number {
  const [at, setAt] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setAt(now()), 15_000);
    return () => clearInterval(timer);
  }, []);
  return at;
}
