import { useSyncExternalStore } from 'react';

/** What the Check desk's margin is asked to show from elsewhere on the page. */
export type Aside = 'effect' | 'revisions';

let asked: Aside | null = null;
const listeners = new Set<() => void>();

function set(next: Aside | null): void {
  asked = next;
  for (const listener of listeners) listener();
}

/** Goes to the Check desk, with this in its margin. */
export function seeInCheck(what: Aside): void {
  set(what);
  location.hash = '#check';
}

/** The desk has done what it was asked. */
export const doneInCheck = (): void => set(null);

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** What is asked of the desk and not done yet; null for nothing. */
export const useAskedOfCheck = (): Aside | null =>
  useSyncExternalStore(
    subscribe,
    () => asked,
    () => null,
  );
