import { useEffect, useSyncExternalStore } from 'react';
import { keepApplication, keptNow, subscribeKept, type Kept } from '@/offline/kept';

/** What the page itself needs goes first. */
const WHEN_IDLE = 3000;

/** Has the application kept on this device, and says how that stands. */
export function useKept(): Kept {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const begin = () => {
      timer = setTimeout(() => {
        keepApplication().catch(() => undefined);
      }, WHEN_IDLE);
    };
    if (document.readyState === 'complete') begin();
    else addEventListener('load', begin, { once: true });
    return () => {
      removeEventListener('load', begin);
      clearTimeout(timer);
    };
  }, []);
  return useSyncExternalStore(subscribeKept, keptNow);
}
