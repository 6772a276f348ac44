import { bodyOf, LARGEST_JSON, type BodyLimits } from './body';
import { problemResponse, Refused } from './problem';
import { markThreads, type Threads } from './threads';
import { turns, type Turns } from './turns';

/** Requests in work at once, those that may wait, and after how many seconds one that found no place may try again. */
const AT_ONCE = 2;
const WAITING = 100;
const RETRY_AFTER = 5;
/** Bytes of bodies that may wait or be in work together. */
const MOST_HELD = 400_000_000;

/** What a request passes through. */
export interface Line {
  readonly turns: Turns;
  readonly threads: Threads;
  readonly body: BodyLimits;
}

/** How bodies are taken in: at most so many bytes each and together, and how long one may take. */
export const usualBody = (): BodyLimits => ({
  largest: LARGEST_JSON,
  held: { now: 0, most: MOST_HELD },
  idle: 10_000,
  whole: 120_000,
});

const lineHere: Line = {
  turns: turns(AT_ONCE, WAITING),
  threads: markThreads(process.env['MARK_THREAD'] ?? '.cache/markThread.mjs'),
  body: usualBody(),
};

const busy = (title: string): never => {
  throw new Refused({ status: 503, title, problems: [], retryAfter: RETRY_AFTER });
};

/**
 * Marks what a request brings: see `docs/marking-api.md`. Its body is taken in first, within bounds of size and time; then it
 * waits for its turn, which is given back whatever happens; then a thread marks it, so that nothing else waits for it. `at`
 * is the instant at which it is judged, ms since 1970. Never throws for what is in the request.
 */
export async function mark(request: Request, at: number, line: Line = lineHere): Promise<Response> {
  let free = (): void => undefined;
  try {
    const body = await bodyOf(request, line.body);
    free = body.free;
    const turn = line.turns.take();
    if (!turn) return busy('Too many requests are being marked.');
    const done = await turn;
    const headers = [...request.headers].filter(([name]) => name === 'content-type' || name === 'accept');
    return await line.threads.mark(body.bytes, headers as [string, string][], at, () => {
      done();
      body.free();
    });
  } catch (error) {
    free();
    if (error instanceof Refused) return problemResponse(error.problem);
    console.error(error);
    return problemResponse({ status: 500, title: 'Something went wrong while marking.', problems: [] });
  }
}
