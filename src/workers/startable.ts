import { wrap, type Remote } from 'comlink';
import { StoreError } from '@/device/failure';

/** A worker that has not answered after so long is not coming: milliseconds. */
const LONGEST_START = 30_000;

/** What every worker answers besides its desk, as soon as it can answer anything. */
export interface Here {
  here(): true;
}

type Calls = Record<string, (...args: unknown[]) => Promise<unknown>>;

interface Running {
  readonly calls: Calls;
  /** Calls that wait for their answers: how each of them fails. */
  readonly waiting: Set<(error: Error) => void>;
  /** Ends the worker, whatever it is at; whoever waits for it is told. */
  readonly end: (error: Error) => void;
}

/** A desk in a worker, and how what it is at is stopped. */
export interface Startable<Desk extends object> {
  readonly desk: Remote<Desk>;
  /** Ends the worker and all that it is at: its calls fail, and the next one starts it anew. */
  readonly stop: () => void;
}

/**
 * The desk of a worker that is started by the first call. Where its file cannot be loaded, or it does not answer, every call
 * that waits fails with `notLoaded`, and the next one starts it anew.
 */
export function startable<Desk extends object>(make: () => Worker): Startable<Desk> {
  let running: Running | null = null;

  const start = (): Running => {
    const worker = make();
    const remote = wrap<Here>(worker);
    const waiting: Running['waiting'] = new Set();
    const end = (error: Error) => {
      clearTimeout(timer);
      if (running === made) running = null;
      worker.terminate();
      for (const fail of waiting) fail(error);
      waiting.clear();
    };
    const notLoaded = () => end(new StoreError('notLoaded', 'A worker could not be loaded'));
    const timer = setTimeout(notLoaded, LONGEST_START);
    const made: Running = { calls: remote as unknown as Calls, waiting, end };
    // Once it has answered, an error in it is one of its calls'.
    worker.addEventListener('error', notLoaded);
    remote.here().then(() => {
      clearTimeout(timer);
      worker.removeEventListener('error', notLoaded);
    }, notLoaded);
    return made;
  };

  const call =
    (name: string) =>
    (...args: unknown[]): Promise<unknown> => {
      running ??= start();
      const { calls, waiting } = running;
      return new Promise((resolve, reject) => {
        waiting.add(reject);
        const answer = calls[name]?.(...args) ?? Promise.reject(new Error(`No call ${name}`));
        answer.then(resolve, reject).finally(() => waiting.delete(reject));
      });
    };

  return {
    desk: new Proxy({} as Remote<Desk>, {
      // The desk itself is no promise, whoever asks.
      get: (_, name) => (typeof name === 'symbol' || name === 'then' ? undefined : call(name)),
    }),
    stop: () => running?.end(new StoreError('other', 'It was stopped')),
  };
}
