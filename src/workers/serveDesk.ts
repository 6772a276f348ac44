import { expose } from 'comlink';
import { withFailures } from '@/device/failure';
import type { Here } from './startable';
import { withWhatComesApart } from './withWhatComesApart';

/** Answers the page's calls with a desk: with what marking asks for where it comes apart, and with failures that keep their names. */
export function serveDesk<D extends { [Name in keyof D]: (...args: never[]) => unknown }>(desk: D): void {
  const here: Here = { here: () => true };
  expose({ ...withFailures(withWhatComesApart(desk)), ...here });
}
