import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { refuse } from './problem';

/** Marking apart from everything else that the server does: in threads whose time and memory are bounded. */

export type Asked =
  | {
      readonly ask: 'mark';
      readonly body: Uint8Array;
      readonly headers: [string, string][];
      readonly at: number;
    }
  | { readonly ask: 'more' };
export type Told =
  | { readonly tell: 'head'; readonly status: number; readonly headers: [string, string][] }
  | { readonly tell: 'piece'; readonly bytes: Uint8Array }
  | { readonly tell: 'end' }
  | { readonly tell: 'failed' };

export interface ThreadLimits {
  /** Memory of one thread besides the body: megabytes. */
  readonly memory: number;
  /** The longest that anything is waited for, the first piece or another one: milliseconds. */
  readonly step: number;
}

const USUAL: ThreadLimits = { memory: 1024, step: 30_000 };

/** A thread ended before it answered, and why. */
export class ThreadEnded extends Error {
  constructor(readonly why: 'time' | 'memory' | 'error') {
    super(`The thread ended: ${why}`);
  }
}

/** One thread, asked one thing at a time. */
class Thread {
  readonly #worker: Worker;
  readonly #step: number;
  #settle: { told: (one: Told) => void; ended: (error: ThreadEnded) => void } | null = null;
  isOver = false;

  constructor(file: string, { memory, step }: ThreadLimits) {
    this.#step = step;
    this.#worker = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: memory } });
    this.#worker.unref();
    this.#worker.on('message', (one: Told) => this.#settle?.told(one));
    this.#worker.on('error', (error: NodeJS.ErrnoException) => {
      const isMemory = error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (!isMemory) console.error(error);
      this.#end(isMemory ? 'memory' : 'error');
    });
    this.#worker.on('exit', () => this.#end('error'));
  }

  #end(why: ThreadEnded['why']): void {
    this.isOver = true;
    this.#settle?.ended(new ThreadEnded(why));
  }

  /** Ends the thread, whatever it is at. */
  stop(): void {
    this.isOver = true;
    this.#worker.terminate().catch(() => undefined);
  }

  /** Asks, and waits for what is told. Rejects with {@link ThreadEnded} where nothing comes. */
  ask(asked: Asked): Promise<Told> {
    return new Promise<Told>((answer, reject) => {
      const timer = setTimeout(() => {
        this.#end('time');
        this.stop();
      }, this.#step);
      const settled = () => {
        clearTimeout(timer);
        this.#settle = null;
        this.#worker.unref();
      };
      this.#settle = {
        told: (one) => {
          settled();
          answer(one);
        },
        ended: (error) => {
          settled();
          reject(error);
        },
      };
      if (this.isOver) return this.#settle.ended(new ThreadEnded('error'));
      this.#worker.ref();
      this.#worker.postMessage(asked, asked.ask === 'mark' ? [asked.body.buffer as ArrayBuffer] : []);
    });
  }
}

const ENDED: Readonly<Record<ThreadEnded['why'], () => never>> = {
  time: () =>
    refuse(413, 'This takes too long to be marked. Send fewer attempts at once, or simpler patterns.'),
  memory: () => refuse(413, 'This is too much to be marked at once. Send fewer attempts.'),
  error: () => refuse(500, 'Something went wrong while marking.'),
};

/** An answer whose next piece nobody has asked for is given up after so long: milliseconds. */
const LONGEST_UNREAD = 60_000;

export interface Threads {
  /**
   * Marks one request. `done` is called once, when the thread is free again: after the last piece, when nobody wants the
   * rest, or when it failed. Rejects with `Refused` where it cannot be answered.
   */
  mark(body: Uint8Array, headers: [string, string][], at: number, done: () => void): Promise<Response>;
}

/** Threads that run `file`: started when they are needed, and kept for the next request. */
export function markThreads(file: string, limits: ThreadLimits = USUAL, unread = LONGEST_UNREAD): Threads {
  const free: Thread[] = [];

  const streamed = (thread: Thread, release: (thread: Thread) => void): ReadableStream<Uint8Array> => {
    let timer: NodeJS.Timeout | undefined;
    let isReleased = false;
    const over = () => {
      clearTimeout(timer);
      if (!isReleased) release(thread);
      isReleased = true;
    };
    const giveUp = () => {
      thread.stop();
      over();
    };
    return new ReadableStream(
      {
        async pull(controller) {
          clearTimeout(timer);
          try {
            const one = await thread.ask({ ask: 'more' });
            if (one.tell === 'piece') {
              controller.enqueue(one.bytes);
              timer = setTimeout(() => {
                giveUp();
                controller.error(new Error('Nobody reads the answer'));
              }, unread).unref();
              return;
            }
            over();
            if (one.tell === 'end') controller.close();
            else controller.error(new Error('The answer ends here: something went wrong while marking'));
          } catch (error) {
            over();
            controller.error(error);
          }
        },
        cancel: giveUp,
      },
      { highWaterMark: 0 },
    );
  };

  return {
    async mark(body, headers, at, done) {
      let thread = free.pop();
      const release = () => {
        if (thread && !thread.isOver) free.push(thread);
        done();
      };
      try {
        thread ??= new Thread(resolve(file), limits);
        const head = await thread.ask({ ask: 'mark', body, headers, at });
        if (head.tell !== 'head') throw new ThreadEnded('error');
        return new Response(streamed(thread, release), { status: head.status, headers: head.headers });
      } catch (error) {
        thread?.stop();
        release();
        if (error instanceof ThreadEnded) return ENDED[error.why]();
        throw error;
      }
    },
  };
}
