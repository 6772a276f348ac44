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

/** The whole body in memory. */
export async function wholeBody(request: Request, largest: number): Promise<Uint8Array<ArrayBuffer>> {
  const chunks: Uint8Array[] = [];
  for await (const chunk of chunksOf(request, largest)) chunks.push(chunk);
  const whole = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
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
