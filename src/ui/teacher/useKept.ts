import { useEffect, useSyncExternalStore } from 'react';
import { keepApplication, keptNow, subscribeKept, type Kept } from '@/offline/kept';

/** What the page itself needs goes first. */
const WHEN_IDLE = 3000;

/** Has the application kept on this device, and says how that stands. */
export function useKept(): Kept {
  useEffect(() => {
    const timer = setTimeout(() => {
      keepApplication().catch(() => undefined);
    }, WHEN_IDLE);
    return () => clearTimeout(timer);
  }, []);
  return useSyncExternalStore(subscribeKept, keptNow);
}
