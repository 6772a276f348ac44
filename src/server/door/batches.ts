import type { Transaction } from 'kysely';
import type { Db, Tables } from './database';

/** Changes that come at the same time are written in one transaction: the disc is waited for once for all of them. */

export type Work<One> = (transaction: Transaction<Tables>) => Promise<One>;

/** What many changes of one kind become together: a result for each, in their order; one that cannot be made is an Error. */
export type Together<Asked> = (
  transaction: Transaction<Tables>,
  door: string,
  all: readonly Asked[],
) => Promise<readonly unknown[]>;

interface Waiting<Asked> {
  readonly door: string;
  readonly work: Work<unknown> | { readonly asked: Asked };
  readonly resolve: (value: unknown) => void;
  readonly reject: (error: unknown) => void;
}

/** So many changes are in one transaction at most. */
const LARGEST = 400;
/** Two transactions begin so far apart at least: ms. What comes meanwhile goes into the second one. */
const APART = 8;

/** The clock of the machine, whatever a test makes of time. */
const { setTimeout: later } = globalThis;

export interface Batches<Asked> {
  /** Does some work inside a transaction, alone where it fails; resolves once it is on the disc. */
  run<One>(door: string, work: Work<One>): Promise<One>;
  /** Makes one change together with all others of its kind that come at the same time; resolves once it is on the disc. */
  join(door: string, asked: Asked): Promise<unknown>;
}

/** One after the other: works by themselves, and in one piece whatever is asked of the same door between them. */
function* pieces<Asked>(batch: readonly Waiting<Asked>[]): Generator<readonly Waiting<Asked>[]> {
  let piece: Waiting<Asked>[] = [];
  for (const one of batch) {
    const joins = 'asked' in one.work && piece[0] && 'asked' in piece[0].work && piece[0].door === one.door;
    if (!joins && piece.length > 0) yield piece;
    if (joins) piece.push(one);
    else piece = [one];
  }
  if (piece.length > 0) yield piece;
}

export function batchesOn<Asked>(db: Db, together: Together<Asked>): Batches<Asked> {
  const waiting: Waiting<Asked>[] = [];
  let running = false;
  let began = -Infinity;

  const written = async (
    transaction: Transaction<Tables>,
    piece: readonly Waiting<Asked>[],
  ): Promise<readonly unknown[]> => {
    const [first] = piece;
    if (!first) return [];
    if (typeof first.work === 'function') return [await first.work(transaction)];
    const all = piece.flatMap(({ work }) => (typeof work === 'function' ? [] : [work.asked]));
    return together(transaction, first.door, all);
  };

  const writeAll = async (batch: readonly Waiting<Asked>[]): Promise<void> => {
    try {
      const results = await db.transaction().execute(async (transaction) => {
        const done: unknown[] = [];
        for (const piece of pieces(batch)) done.push(...(await written(transaction, piece)));
        return done;
      });
      batch.forEach(({ resolve, reject }, at) => {
        const result = results[at];
        if (result instanceof Error) reject(result);
        else resolve(result);
      });
    } catch (error) {
      if (batch.length === 1) return batch[0]?.reject(error);
      // One of them fails: each for itself, so that it takes no other along.
      for (const one of batch) await writeAll([one]);
    }
  };

  const drain = async (): Promise<void> => {
    running = true;
    while (waiting.length > 0) {
      const left = began + APART - performance.now();
      if (left > 0) await new Promise((resolve) => later(resolve, left));
      began = performance.now();
      // Doors in one order in every process: two that wait for each other's rows would wait for ever.
      await writeAll(
        waiting.splice(0, LARGEST).sort((a, b) => (a.door < b.door ? -1 : a.door > b.door ? 1 : 0)),
      );
    }
    running = false;
  };

  const add = (door: string, work: Waiting<Asked>['work']): Promise<unknown> =>
    new Promise((resolve, reject) => {
      waiting.push({ door, work, resolve, reject });
      // With whatever else comes in this turn.
      if (!running) setImmediate(() => void (running || drain()));
    });

  return {
    run: async <One>(door: string, work: Work<One>) => (await add(door, work)) as One,
    join: (door, asked) => add(door, { asked }),
  };
}
