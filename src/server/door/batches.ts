import type { Transaction } from 'kysely';
import type { Db, Tables } from './database';

/** Changes that come at the same time are written in one transaction: the disc is waited for once for all of them. */

export type Work<One> = (transaction: Transaction<Tables>) => Promise<One>;

interface Waiting {
  readonly door: string;
  readonly work: Work<unknown>;
  readonly resolve: (value: unknown) => void;
  readonly reject: (error: unknown) => void;
}

/** So many changes are in one transaction at most. */
const LARGEST = 200;

export interface Batches {
  /** Does some work inside a transaction, alone where it fails; resolves once it is on the disc. */
  run<One>(door: string, work: Work<One>): Promise<One>;
}

export function batchesOn(db: Db): Batches {
  const waiting: Waiting[] = [];
  let running = false;

  const writeAll = async (): Promise<void> => {
    // Doors in one order in every process: two that wait for each other's rows would wait for ever.
    const batch = waiting.splice(0, LARGEST).sort((a, b) => (a.door < b.door ? -1 : a.door > b.door ? 1 : 0));
    try {
      const results = await db.transaction().execute(async (transaction) => {
        const done: unknown[] = [];
        for (const { work } of batch) done.push(await work(transaction));
        return done;
      });
      batch.forEach(({ resolve }, at) => resolve(results[at]));
    } catch (error) {
      if (batch.length === 1) return batch[0]?.reject(error);
      // One of them fails: each for itself, so that it takes no other along.
      for (const one of batch) await db.transaction().execute(one.work).then(one.resolve, one.reject);
    }
  };

  const drain = async (): Promise<void> => {
    running = true;
    while (waiting.length > 0) await writeAll();
    running = false;
  };

  return {
    run: <One>(door: string, work: Work<One>) =>
      new Promise<One>((resolve, reject) => {
        waiting.push({ door, work, resolve: resolve as (value: unknown) => void, reject });
        // With whatever else comes in this turn.
        if (!running) setImmediate(() => void (running || drain()));
      }),
  };
}
