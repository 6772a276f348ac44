import { expose } from 'comlink';
import { withFailures } from '@/device/failure';
import type { Here } from './startable';
import { withWordLists } from './withWordLists';

/** Answers the page's calls with a desk: with word lists where marking asks for them, and with failures that keep their names. */
export function serveDesk<D extends { [Name in keyof D]: (...args: never[]) => unknown }>(desk: D): void {
  const here: Here = { here: () => true };
  expose({ ...withFailures(withWordLists(desk)), ...here });
}
