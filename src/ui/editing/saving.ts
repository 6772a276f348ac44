import { useSyncExternalStore } from 'react';
import type { StoreFailure } from '@/device/failure';

/** The state of saving on this page: one line that is always true, and the way out when nothing can be saved. */

export type SavingState = 'saving' | 'saved' | StoreFailure;
type State = SavingState;

const states = new Map<string, State>();
const retries = new Map<string, () => void>();
const unsaved = new Map<string, unknown>();
const listeners = new Set<() => void>();
let summary: State = 'saved';

function summarise(): State {
  const all = [...states.values()];
  return (
    all.find((state) => state !== 'saving' && state !== 'saved') ??
    (all.includes('saving') ? 'saving' : 'saved')
  );
}

/** Says how saving one thing went. */
export function reportSaving(name: string, state: State, retry?: () => void): void {
  if (state === 'saved') {
    states.delete(name);
    retries.delete(name);
  } else states.set(name, state);
  if (retry && state !== 'saved' && state !== 'saving') retries.set(name, retry);
  summary = summarise();
  listeners.forEach((listener) => listener());
}

/** Remembers work that is not stored yet, so that a rescue file can hold it; null forgets it. */
export function keepUnsaved(name: string, value: unknown): void {
  if (value === null) unsaved.delete(name);
  else unsaved.set(name, value);
}

export const unsavedWork = (): ReadonlyMap<string, unknown> => unsaved;

/** Tries again to save what could not be saved. */
export const retrySaving = (): void => [...retries.values()].forEach((retry) => retry());

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useSaving = (): State => useSyncExternalStore(subscribe, () => summary);
