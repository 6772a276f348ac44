import { useSyncExternalStore } from 'react';
import { flushSync } from 'react-dom';

let printing = false;
const listeners = new Set<() => void>();

function set(now: boolean): void {
  printing = now;
  // The browser prints what stands there when its event is over.
  flushSync(() => {
    for (const listener of listeners) listener();
  });
}

function subscribe(listener: () => void): () => void {
  if (listeners.size === 0) {
    addEventListener('beforeprint', begin);
    addEventListener('afterprint', end);
  }
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    removeEventListener('beforeprint', begin);
    removeEventListener('afterprint', end);
  };
}

const begin = () => set(true);
const end = () => set(false);

/** True while the page is being printed: what is drawn only where it is in view is then drawn whole. */
export const usePrinting = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => printing,
    () => false,
  );
