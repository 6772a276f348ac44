import { JSONParser } from '@streamparser/json';
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

/**
 * Reads a JSON object as it comes: its top-level values by name, and each entry of the list `list` one after another, which
 * is then forgotten. Ends with a problem where it is no JSON.
 */
export async function readJson(
  request: Request,
  list: string,
  onEntry: (entry: unknown, at: number) => void,
): Promise<Record<string, unknown>> {
  const top = Object.create(null) as Record<string, unknown>;
  let entries = 0;
  let listed = false;
  const parser = new JSONParser({ keepStack: true, paths: ['$.*', `$.${list}.*`] });
  const wrong: string[] = [];
  parser.onError = (error) => void wrong.push(error.message);
  parser.onValue = ({ value, key, parent, stack }) => {
    if (stack.length === 2 && stack[1]?.key === list && Array.isArray(parent)) {
      onEntry(value, entries++);
      // Not kept: a long list never lies in memory as a whole.
      parent[key as number] = null;
    } else if (stack.length === 1 && typeof key === 'string') {
      if (key === list) listed = Array.isArray(value);
      top[key] = value;
    }
  };
  const pause = pauses();
  for await (const chunk of chunksOf(request, LARGEST_JSON)) {
    parser.write(chunk);
    if (wrong.length > 0) break;
    await pause();
  }
  if (wrong.length === 0 && !parser.isEnded) wrong.push('it ends too early');
  if (wrong.length > 0)
    refuse(
      400,
      'The body is no JSON.',
      wrong.slice(0, 1).map((text) => text.slice(0, 300)),
    );
  if (list in top && !listed) refuse(422, 'The body cannot be marked.', [`${list} is no list`]);
  return top;
}
