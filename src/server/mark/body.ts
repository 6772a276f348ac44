import { JSONParser, TokenType } from '@streamparser/json';
import { refuse } from './problem';
import { pauses } from './turns';

/** Most bytes of a body: JSON is read as it comes, a form is held whole. */
export const LARGEST_JSON = 100_000_000;
export const LARGEST_FORM = 50_000_000;

const megabytes = (bytes: number): string => `${bytes / 1_000_000} MB`;

async function* chunksOf(request: Request, largest: number): AsyncGenerator<Uint8Array> {
  const tooLarge = () => refuse(413, `A body of this kind may hold at most ${megabytes(largest)}.`);
  if (Number(request.headers.get('content-length') ?? 0) > largest) tooLarge();
  if (!request.body) return;
  let size = 0;
  const reader = request.body.getReader();
  try {
    for (;;) {
      const { done, value } = (await reader.read()) as { done: boolean; value?: Uint8Array };
      if (done || !value) return;
      size += value.length;
      if (size > largest) tooLarge();
      yield value;
    }
  } finally {
    reader.cancel().catch(() => undefined);
  }
}

/** How bodies are taken in. */
export interface BodyLimits {
  /** Most bytes of one body. */
  readonly largest: number;
  /** Bytes of all bodies that are held, and how many they may be. */
  readonly held: { now: number; readonly most: number };
  /** The longest wait for the next bytes, and for the whole body: milliseconds. */
  readonly idle: number;
  readonly whole: number;
}

/** What comes of a promise within a time; else the request is refused as too slow. */
async function within<One>(promise: Promise<One>, ms: number): Promise<One> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<'late'>((resolve) => {
    timer = setTimeout(() => resolve('late'), Math.max(0, ms));
  });
  try {
    const first = await Promise.race([promise, late]);
    return first === 'late' ? refuse(408, 'The body came too slowly. Send it again.') : first;
  } finally {
    clearTimeout(timer);
  }
}

/** A body in memory, and how its room is given back. */
export interface HeldBody {
  readonly bytes: Uint8Array<ArrayBuffer>;
  readonly free: () => void;
}

/** The whole body of a request within bounds of size and time. Refused otherwise, with nothing held. */
export async function bodyOf(
  request: Request,
  { largest, held, idle, whole }: BodyLimits,
): Promise<HeldBody> {
  const began = performance.now();
  const chunks = chunksOf(request, largest);
  let mine = 0;
  const free = () => {
    held.now -= mine;
    mine = 0;
  };
  const all: Uint8Array[] = [];
  try {
    for (;;) {
      const left = whole - (performance.now() - began);
      const { value, done } = await within(chunks.next(), Math.min(idle, left));
      if (done) return { bytes: joined(all), free };
      mine += value.length;
      held.now += value.length;
      all.push(value);
      if (held.now > held.most) refuse(503, 'Too much waits to be marked. Try again in a minute.');
    }
  } catch (error) {
    free();
    // What is still on its way is not waited for.
    request.body?.cancel().catch(() => undefined);
    throw error;
  }
}

function joined(chunks: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}

/** The whole body in memory. */
export async function wholeBody(request: Request, largest: number): Promise<Uint8Array<ArrayBuffer>> {
  const chunks: Uint8Array[] = [];
  for await (const chunk of chunksOf(request, largest)) chunks.push(chunk);
  return joined(chunks);
}

/** Deeper than anything that is marked, and more pieces than any quiz: what goes beyond could fill the memory. */
const DEEPEST = 60;
const MOST_PIECES = 2_000_000;

/** Counts how deep a text lies and how many pieces its current value has; says what is too much. */
class Measure {
  #depth = 0;
  #pieces = 0;

  /** What goes beyond the limits, once something has. */
  beyond: string | null = null;

  piece(token: TokenType): void {
    if (token === TokenType.LEFT_BRACE || token === TokenType.LEFT_BRACKET) this.#depth++;
    if (token === TokenType.RIGHT_BRACE || token === TokenType.RIGHT_BRACKET) this.#depth--;
    this.#pieces++;
    if (this.#depth > DEEPEST) this.beyond ??= `nested deeper than ${DEEPEST}`;
    if (this.#pieces > MOST_PIECES) this.beyond ??= `one value of more than ${MOST_PIECES} pieces`;
  }

  /** A value has ended, and the next one begins. */
  next(): void {
    this.#pieces = 0;
  }
}

/** A list whose entries are looked at one after another. */
export interface Listed {
  readonly name: string;
  readonly most: number;
  readonly onEntry: (entry: unknown, at: number) => void;
}

/**
 * Reads a JSON object as it comes: its top-level values by name, and each entry of one list by itself, which is then
 * forgotten. Ends with a problem where it is no JSON or too much.
 */
export async function readJson(
  request: Request,
  { name, most, onEntry }: Listed,
): Promise<Record<string, unknown>> {
  const top = Object.create(null) as Record<string, unknown>;
  const measure = new Measure();
  let entries = 0;
  let listed = false;
  let wrong: string | null = null;
  const parser = new JSONParser({ keepStack: true, paths: ['$.*', `$.${name}.*`] });
  parser.onToken = ({ token }) => measure.piece(token);
  parser.onError = (error) => {
    wrong ??= error.message;
  };
  parser.onValue = ({ value, key, parent, stack }) => {
    measure.next();
    if (stack.length === 2 && stack[1]?.key === name && Array.isArray(parent)) {
      if (entries < most) onEntry(value, entries);
      entries++;
      // Not kept: a long list never lies in memory as a whole.
      parent[key as number] = null;
    } else if (stack.length === 1 && typeof key === 'string') {
      if (key === name) listed = Array.isArray(value);
      top[key] = value;
    }
  };
  const pause = pauses();
  for await (const chunk of chunksOf(request, LARGEST_JSON)) {
    parser.write(chunk);
    if (entries > most) refuse(413, `At most ${most} ${name} can be marked in one request.`);
    if (measure.beyond) refuse(413, 'The body holds too much.', [measure.beyond]);
    if (wrong !== null) break;
    await pause();
  }
  if (wrong === null && !parser.isEnded) wrong = 'it ends too early';
  if (wrong !== null) refuse(400, 'The body is not valid JSON.', [String(wrong).slice(0, 300)]);
  if (name in top && !listed) refuse(422, 'The body cannot be marked.', [`${name} is not a list`]);
  return top;
}
