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
  /** Fails where the worker cannot be loaded; null once it has answered. */
  trouble: Promise<never> | null;
}

/**
 * The desk of a worker that is started by the first call. Where its file cannot be loaded, or it does not answer, every call
 * that waits fails with `notLoaded`, and the next one starts it anew.
 */
export function startable<Desk extends object>(make: () => Worker): Remote<Desk> {
  let running: Running | null = null;

  const start = (): Running => {
    const worker = make();
    const remote = wrap<Here>(worker);
    const made: Running = { calls: remote as unknown as Calls, trouble: null };
    made.trouble = new Promise<never>((_, reject) => {
      const fail = () => {
        clearTimeout(timer);
        if (running === made) running = null;
        worker.terminate();
        reject(new StoreError('notLoaded', 'A worker could not be loaded'));
      };
      const timer = setTimeout(fail, LONGEST_START);
      // Once it has answered, an error in it is one of its calls'.
      worker.addEventListener('error', fail);
      remote.here().then(() => {
        clearTimeout(timer);
        worker.removeEventListener('error', fail);
        made.trouble = null;
      }, fail);
    });
    // Whoever called is told; the promise itself is nobody's.
    made.trouble.catch(() => undefined);
    return made;
  };

  const call =
    (name: string) =>
    (...args: unknown[]): Promise<unknown> => {
      running ??= start();
      const answer = running.calls[name]?.(...args) ?? Promise.reject(new Error(`No call ${name}`));
      return running.trouble ? Promise.race([answer, running.trouble]) : answer;
    };

  return new Proxy({} as Remote<Desk>, {
    // The desk itself is no promise, whoever asks.
    get: (_, name) => (typeof name === 'symbol' || name === 'then' ? undefined : call(name)),
  });
}
