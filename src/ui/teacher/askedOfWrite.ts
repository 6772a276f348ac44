import { useSyncExternalStore } from 'react';

/** What the Write desk is asked to do from elsewhere on the page: show the kinds of question, or take a new one in hand. */
type Asked = { readonly what: 'kinds' } | { readonly what: 'question'; readonly id: string };

let asked: Asked | null = null;
const listeners = new Set<() => void>();

function set(next: Asked | null): void {
  asked = next;
  for (const listener of listeners) listener();
}

/** Goes to the Write desk, which does this. */
export function askWrite(what: Asked): void {
  set(what);
  location.hash = '#write';
}

/** The desk has done what it was asked. */
export const doneInWrite = (): void => set(null);

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** What is asked of the desk and not done yet; null for nothing. */
export const useAskedOfWrite = (): Asked | null =>
  useSyncExternalStore(
    subscribe,
    () => asked,
    () => null,
  );
