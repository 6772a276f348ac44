import { gunzipSync } from 'fflate';
import { handIn, ListMissing } from '@/core/answers/text/wordLists';
import { StoreError } from '@/device/failure';

/** Where the lists stand, beside the pages. */
const addressOf = (list: string): URL => new URL(`/words/${list}.bin`, self.location.origin);

/** What the server answers while it makes a list. */
const BEING_MADE = 503;

/** Lists on their way: all who wait for one wait for the same. */
const coming = new Map<string, Promise<void>>();

async function fetched(list: string): Promise<void> {
  const response = await fetch(addressOf(list)).catch(() => null);
  if (response?.status === BEING_MADE)
    throw new StoreError('listComing', `The word list ${list} is being made`);
  if (!response?.ok) throw new StoreError('noList', `The word list ${list} could not be loaded`);
  handIn(gunzipSync(new Uint8Array(await response.arrayBuffer())));
}

function load(list: string): Promise<void> {
  const known = coming.get(list);
  if (known) return known;
  const loading = fetched(list).finally(() => coming.delete(list));
  coming.set(list, loading);
  return loading;
}

/** A quiz has questions in a few languages at most; more lists than that are never missing in one call. */
const MOST_LISTS = 10;

/**
 * A worker's desk whose calls fetch the word lists that marking asks for, and are made again with them. A call that writes
 * marks before it writes, or writes what may come twice.
 */
export function withWordLists<D extends { [Name in keyof D]: (...args: never[]) => unknown }>(desk: D): D {
  const loading = Object.entries<(...args: never[]) => unknown>(desk).map(([name, call]) => [
    name,
    async (...args: never[]) => {
      for (let left = MOST_LISTS; ; left--) {
        try {
          return await call(...args);
        } catch (error) {
          if (!(error instanceof ListMissing) || left === 0) throw error;
          await load(error.list);
        }
      }
    },
  ]);
  return Object.fromEntries(loading) as D;
}
