import { gunzipSync } from 'fflate';
import { EngineMissing } from '@/core/answers/text/pattern';
import { handIn, ListMissing } from '@/core/answers/text/words/wordLists';
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

async function loadEngine(): Promise<void> {
  await import('@/core/answers/text/patternEngine').catch(() => {
    throw new StoreError('notLoaded', 'The engine for patterns could not be loaded');
  });
}

/** What an error asks for, fetched; anything else is thrown again. */
async function fetchMissing(error: unknown): Promise<void> {
  if (error instanceof ListMissing) await load(error.list);
  else if (error instanceof EngineMissing) await loadEngine();
  else throw error;
}

/** A quiz has questions in a few languages at most; more parts than that are never missing in one call. */
const MOST_PARTS = 10;

/**
 * A worker's desk whose calls fetch what marking asks for (word lists, the engine for patterns), and are made again with it. A call that writes
 * marks before it writes, or writes what may come twice.
 */
export function withWhatComesApart<D extends { [Name in keyof D]: (...args: never[]) => unknown }>(
  desk: D,
): D {
  const loading = Object.entries<(...args: never[]) => unknown>(desk).map(([name, call]) => [
    name,
    async (...args: never[]) => {
      for (let left = MOST_PARTS; ; left--) {
        try {
          return await call(...args);
        } catch (error) {
          if (left === 0) throw error;
          await fetchMissing(error);
        }
      }
    },
  ]);
  return Object.fromEntries(loading) as D;
}
